/** Hands a text over as a file. */
export function download(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name from any title: letters and figures, the rest as hyphens. */
export function fileName(title: string, ending: string): string {
  const plain = title
    .replaceAll('×', 'x')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
  return `${plain || 'comparison'}.${ending}`;
}
