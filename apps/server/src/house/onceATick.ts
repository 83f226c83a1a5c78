/**
 * The same reading, shared by all who ask in one turn of the event loop: what answers one request asks for the book and the gym in many
 * places at once. Whoever asks after an answer went out reads anew.
 */
export function onceATick<T>(read: () => Promise<T>): () => Promise<T> {
  let shared: Promise<T> | null = null;
  return () => {
    if (!shared) {
      shared = read();
      setImmediate(() => (shared = null));
    }
    return shared;
  };
}
