/** How dates and times are written, and on which day a week begins. */
export const DAY_ORDERS = ['day-first', 'month-first', 'year-first'] as const;
export const CLOCKS = ['24', '12'] as const;
export const WEEK_BEGINS = ['monday', 'sunday', 'saturday'] as const;
export interface DateWays {
  readonly dayOrder: (typeof DAY_ORDERS)[number];
  readonly clock: (typeof CLOCKS)[number];
  readonly weekBegins: (typeof WEEK_BEGINS)[number];
}
export const STARTER_DATES: DateWays = { dayOrder: 'day-first', clock: '24', weekBegins: 'monday' };
