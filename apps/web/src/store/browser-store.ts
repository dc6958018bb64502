/** Texts kept by the browser. Its store may be full or forbidden, so nothing here throws. */
export interface TextStore {
  readonly get: (key: string) => string | null;
  /** False when it could not be kept. */
  readonly set: (key: string, text: string) => boolean;
  readonly remove: (key: string) => void;
  readonly keys: () => readonly string[];
}

function storeOf(open: () => Storage): TextStore {
  const attempt = <T>(act: (storage: Storage) => T, otherwise: T): T => {
    try {
      return act(open());
    } catch {
      return otherwise;
    }
  };
  return {
    get: (key) => attempt((storage) => storage.getItem(key), null),
    set: (key, text) =>
      attempt((storage) => {
        storage.setItem(key, text);
        return true;
      }, false),
    remove: (key) => attempt((storage) => storage.removeItem(key), undefined),
    keys: () =>
      attempt(
        (storage) => Array.from({ length: storage.length }, (_, k) => storage.key(k) ?? ''),
        [],
      ),
  };
}

/** What all tabs share and what stays after they are closed. */
export const browserStore = storeOf(() => window.localStorage);

/** What belongs to one tab, through reloads. */
export const tabStore = storeOf(() => window.sessionStorage);
