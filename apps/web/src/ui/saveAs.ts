/** Gives a file that the page made to whoever looks at it. */
export function saveAs(name: string, url: string): void {
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
}
