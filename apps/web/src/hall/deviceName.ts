const PLACE = 'eurhythm.device-name';

/** What this device is called in the hall; empty while it has no name. */
export const deviceName = (): string => localStorage.getItem(PLACE) ?? '';

export const keepDeviceName = (name: string): void => localStorage.setItem(PLACE, name);
