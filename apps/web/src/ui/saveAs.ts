/** Gives a file that the page made to whoever looks at it. */
export function saveAs(name: string, url: string): void {
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
}

/** So long a browser may take to fetch what is saved. */
const FETCHED_MS = 60_000;

/** Saves something that the page made as a file. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  saveAs(name, address);
  setTimeout(() => URL.revokeObjectURL(address), FETCHED_MS);
}
