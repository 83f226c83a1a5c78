/**
 * The same reading, shared by all who ask together: what answers one request asks for the book and the gym in many places before it
 * waits for anything. Whoever waited for something in between, such as a write, reads anew.
 */
export function askedTogether<T>(read: () => Promise<T>): () => Promise<T> {
  let shared: Promise<T> | null = null;
  return () => {
    if (!shared) {
      shared = read();
      queueMicrotask(() => (shared = null));
    }
    return shared;
  };
}
