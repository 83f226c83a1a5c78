/** A port that is free, as is the one after it. @throws where none is */
export function freePort(): Promise<number>;
