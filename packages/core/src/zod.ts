import { z } from 'zod';

// Zod would write faster readers as code and try at each start whether it may; the application's policy forbids it.
z.config({ jitless: true });

export { z };
