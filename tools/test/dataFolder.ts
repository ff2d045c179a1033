import { spawnSync } from 'node:child_process'

type Env = Record<string, string>
export type Ran = { status: number | null; said: string }

/** Runs scripts of the project on a data folder of a test's own, and its database. */
export function onDataFolder(folder: string) {
  const run = (args: string[], env: Env = {}): Ran => {
    const { status, stderr, stdout } = spawnSync('bash', args, {
      cwd: `${__dirname}/../..`,
      encoding: 'utf8',
      env: { ...process.env, OKAZU_DATA: folder, ...env },
    })
    return { status, said: `${stdout}${stderr}`.trim() }
  }
  /** Does something with the database of the folder running. */
  const withDatabase = (script: string, env: Env = {}) =>
    run(
      ['-c', `. tools/lib.sh; . tools/db-access.sh; trap stop_db EXIT; start_db_for_all "$OKAZU_DATA"; ${script}`],
      env,
    )
  /** Starts the program until it says where it is, and ends it. @returns what it said */
  const startOnce = (env: Env = {}) =>
    withDatabase(
      `OKAZU_PORT=0 OKAZU_DEMO_EVENINGS=0 OKAZU_DB_SOCKET=$DB_SOCKET OKAZU_DB_USER=$DB_USER OKAZU_DB_PASSWORD=$DB_PASSWORD OKAZU_LOG=error \
         node --import tsx server/src/main.ts >"$OKAZU_DATA/out" 2>&1 </dev/null & S=$!
       for i in $(seq 1 600); do grep -q 'code=\\|npm run owner' "$OKAZU_DATA/out" && break; sleep 0.1; done
       kill $S; wait $S; cat "$OKAZU_DATA/out"`,
      env,
    )
  const sql = (query: string) =>
    withDatabase(
      `MYSQL_PWD=$DB_PASSWORD mariadb --no-defaults --host=127.0.0.1 --port=$DB_PORT --user=$DB_USER -N okazu -e "${query}"`,
    ).said
  return { run, withDatabase, startOnce, sql }
}
