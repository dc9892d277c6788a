/** The page's content policy forbids building code from text, which Zod would try for speed. */
import { config } from 'zod';

config({ jitless: true });
