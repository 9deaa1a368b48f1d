import * as z from 'zod/mini';

// The page's content policy forbids making code from text, which Zod would otherwise do for speed.
z.config({ jitless: true });
