/** What this page plays, before it leaves for the loudspeaker. */
export interface OwnSound {
  readonly context: AudioContext;
  readonly out: AudioNode;
}

const open: OwnSound[] = [];

/** Makes known that the page may play something from now on; gives what takes it back. */
export function playsHere(sound: OwnSound): () => void {
  open.push(sound);
  return () => {
    const at = open.indexOf(sound);
    if (at >= 0) open.splice(at, 1);
  };
}

/** What may play on this page now, the newest where there are several; null where nothing does. */
export const ownSound = (): OwnSound | null => open.at(-1) ?? null;
