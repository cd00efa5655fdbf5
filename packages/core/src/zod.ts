import { config } from 'zod';

// Zod would write faster readers as code and try at each start whether it may; the application's policy forbids it.
config({ jitless: true });

export * as z from './zod-parts';
