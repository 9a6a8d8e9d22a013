import { z } from 'zod';

// The page's content policy allows no code made while it runs; without being told, Zod would try once.
z.config({ jitless: true });
