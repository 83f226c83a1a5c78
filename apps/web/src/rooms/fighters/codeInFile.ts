/** The code in a file that a page for home made; null where it is another file. */
export function codeInFile(text: string): string | null {
  try {
    const { format, code } = (JSON.parse(text) ?? {}) as { format?: unknown; code?: unknown };
    return format === 'eurhythm-home' && typeof code === 'string' ? code : null;
  } catch {
    return null;
  }
}
