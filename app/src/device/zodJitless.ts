import { z } from 'zod'

// The page's content security policy forbids code from strings, which zod would otherwise try first.
z.config({ jitless: true })
