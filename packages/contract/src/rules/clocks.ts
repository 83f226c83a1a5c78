/** Header in which a device says what its clock shows while it sends, and the server what its own shows. */
export const CLOCK_HEADER = 'eurhythm-clock';

/** So much of a difference between two clocks may be the way through the network, in milliseconds. */
export const ON_THE_WAY = 2000;
