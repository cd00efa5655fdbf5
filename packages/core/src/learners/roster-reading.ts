import { idSchema } from '../activity/block';
import { z } from '../zod';

/** The one list of the school that is followed. */
export const ROSTER_ID = 'roster';

/** What the school's list said when it was last taken over: what changed since is what differs from it. */
export const rosterReadingSchema = z.object({
  id: idSchema,
  /** ISO instant. */
  readAt: z.string().max(40),
  /** Where it came from: a file's name, or the service. */
  from: z.string().max(200),
  classes: z.array(
    z.object({ rosterId: z.string().max(255), name: z.string().max(200), members: z.array(z.string().max(255)) }),
  ),
  /** Names by the school's id. */
  names: z.record(z.string().max(255), z.string().max(200)),
});
export type RosterReading = z.infer<typeof rosterReadingSchema>;
