import { z } from 'zod'
import { firstOwnerOf, newOwnerPin } from './people/newOwnerPin'
import { openPool } from './db/pool'
import { beginAccess } from './people/beginAccess'
import { listKitchenIds } from './setup/house/house.sql'
import { DEMO_KITCHEN_ID } from './demo/kitchen'

/** `npm run owner`: on the machine itself the owner gets a new PIN, and a code that lets one device in. */
const env = z
  .object({
    OKAZU_DB_HOST: z.string().default('127.0.0.1'),
    OKAZU_DB_PORT: z.coerce.number().int().optional(),
    OKAZU_DB_SOCKET: z.string().min(1).optional(),
    OKAZU_DB_USER: z.string().default('okazu'),
    OKAZU_DB_PASSWORD: z.string().optional(),
  })
  .parse(process.env)

const pool = openPool({
  ...(env.OKAZU_DB_SOCKET === undefined
    ? { host: env.OKAZU_DB_HOST, port: env.OKAZU_DB_PORT ?? 3306 }
    : { socketPath: env.OKAZU_DB_SOCKET }),
  ...(env.OKAZU_DB_PASSWORD !== undefined && { password: env.OKAZU_DB_PASSWORD }),
  user: env.OKAZU_DB_USER,
  database: 'okazu',
})
const ids = await listKitchenIds(pool)
for (const kitchenId of ids.filter((id) => id !== DEMO_KITCHEN_ID || ids.length === 1)) {
  const owner = await firstOwnerOf(pool, kitchenId)
  const { code } = await beginAccess(pool, kitchenId, Date.now())
  if (owner)
    console.log(
      `${kitchenId}: ${owner.name} has the PIN ${await newOwnerPin(pool, kitchenId, owner, Date.now())} from now on; change it after signing in`,
    )
  else console.log(`${kitchenId}: nobody owns it yet; the first device that comes in names the owner`)
  console.log(`${kitchenId}: one device comes in within half an hour by the code ${code}`)
}
await pool.end()
