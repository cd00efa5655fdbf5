import { format, parseISO } from 'date-fns';

/** A local date and time for reading: "Tue 1 Dec, 09:00". */
export const whenIn = (local: string): string => format(parseISO(local), 'EEE d MMM, HH:mm');
