/** So many of something: "1 learner", "3 learners"; an irregular plural is given besides. */
export const many = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;

export { counted } from '@lorvet/core/desk';
