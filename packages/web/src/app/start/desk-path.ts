/** Whether an address is the desk's: there nothing of the teacher's is fetched or read. */
export const isDeskPath = (path: string): boolean => /^\/desk(\/|$)/.test(path);
