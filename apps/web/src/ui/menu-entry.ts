/** Something to choose from a menu. */
export interface MenuEntry {
  readonly id: string;
  readonly label: string;
  /** A line of its own below the label. */
  readonly note?: string;
  /** The keys that do the same. */
  readonly keys?: string;
  readonly selected?: boolean;
  readonly disabled?: boolean;
  /** Words over it, where a part of its group begins. */
  readonly heading?: string;
  /** Whether the menu stays open when it is chosen. */
  readonly stays?: boolean;
  readonly run: () => void;
}

export interface MenuProps {
  /** The button that opened it; null while it is closed. */
  readonly anchor: HTMLElement | null;
  readonly close: () => void;
  /** What is in it, in groups; asked for when it is open. */
  readonly groups: () => readonly (readonly MenuEntry[])[];
  readonly dense?: boolean;
}
