/** Thrown where an in-place change cannot be recorded; its message is for the teacher. */
export class CannotRecord extends Error {}
