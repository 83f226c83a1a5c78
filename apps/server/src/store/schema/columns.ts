import { customType, integer, text, timestamp } from 'drizzle-orm/pg-core';

export const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
export const lead = (name: string) => text(name).$type<'left' | 'right'>();
export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
/** How often a thing has been changed: a change names the state that it was based on. */
export const version = () => integer('version').notNull().default(1);
