/** Hands a made file to the browser's own download. */
export function download(parts: BlobPart, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([parts], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
