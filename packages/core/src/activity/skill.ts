import { z } from '../zod';

/** What an objective can protect: a support that takes it over changes what is asked. */
export const SKILLS = ['reading', 'spelling', 'writing', 'calculation', 'facts', 'vocabulary', 'speed'] as const;
export const skillSchema = z.enum(SKILLS);
export type Skill = z.infer<typeof skillSchema>;
