export interface Notice {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}
