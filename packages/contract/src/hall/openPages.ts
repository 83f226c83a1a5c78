/**
 * Pages that ask for no passphrase: the door itself, joining a class, what a joined device shows, and how a phone comes to trust the gym.
 *
 * @example
 * isOpenPage('/hall/ACDEFH/wall') // true
 */
export const isOpenPage = (path: string): boolean => /^\/(door|join|hall|phone)(\/|$)/.test(path);
