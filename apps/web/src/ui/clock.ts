/** The hour and minute of a time, in her own zone: `09:05`. Written by hand: the browser's own formats take 20 ms to load. */
export function clock(iso: string): string {
  const time = new Date(iso);
  return [time.getHours(), time.getMinutes()]
    .map((part) => String(part).padStart(2, '0'))
    .join(':');
}
