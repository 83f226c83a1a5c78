/** A database that is not there any more, or cannot be read. */
export class DamagedDatabase extends Error {
  readonly folder: string;
  readonly why: string;
  /** Where it was set aside, within the folder; null when there was nothing to set aside. */
  readonly aside: string | null;

  constructor(folder: string, why: string, aside: string | null) {
    super(why);
    this.folder = folder;
    this.why = why;
    this.aside = aside;
  }
}
