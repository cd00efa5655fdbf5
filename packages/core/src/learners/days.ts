import { z } from '../zod';

/** A day, as an ISO date without time ('2026-09-14'); empty where none is set. */
export const daySchema = z.union([z.iso.date(), z.literal('')]);
export type Day = z.infer<typeof daySchema>;

/** Whether a day lies within what may be open at either end; both ends are included. */
export const isOnDay = (part: { readonly from: Day; readonly until: Day }, day: Day): boolean =>
  (part.from === '' || part.from <= day.slice(0, 10)) && (part.until === '' || part.until >= day.slice(0, 10));
