export function killWhileRestoring(options: {
  readonly main: string;
  readonly folder: string;
  readonly kills: number;
  readonly seed: number;
}): Promise<{ readonly kills: number; readonly swapped: number; readonly lost: number }>;
