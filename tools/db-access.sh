# How people and a second server reach the database: on 127.0.0.1 with a user and a password of its own. Sourced by start.sh.

DB_USER=okazu
DB_PASSWORD=
DB_PORT=

# read_access FILE: what an earlier start wrote there, if it did; sets DB_PASSWORD and DB_PORT.
read_access() {
  DB_PASSWORD=$(sed -n 's/^password=\([0-9a-f]\{48\}\)$/\1/p' "$1" 2>/dev/null)
  DB_PORT=$(sed -n 's/^port=\([0-9]\{1,5\}\)$/\1/p' "$1" 2>/dev/null)
}

# free_port [PORT]: that one if it is free on 127.0.0.1, or any that is.
free_port() {
  node -e '
    const { createServer } = require("node:net")
    const listen = (port, onTaken) => {
      const server = createServer().once("error", onTaken)
      server.listen(port, "127.0.0.1", () => {
        process.stdout.write(String(server.address().port))
        server.close()
      })
    }
    listen(Number(process.argv[1] ?? 0), () => listen(0, () => process.exit(1)))
  ' "$1"
}

# start_db_for_all FOLDER: the database, reached by its socket and on 127.0.0.1; FOLDER/database.cnf says how.
start_db_for_all() {
  local folder=$1 words=$1/db-access.sql file=$1/database.cnf
  read_access "$file"
  [ -n "$DB_PASSWORD" ] || DB_PASSWORD=$(node -e 'process.stdout.write(require("node:crypto").randomBytes(24).toString("hex"))')
  DB_PORT=$(free_port "${DB_PORT:-0}") || fail "no port of 127.0.0.1 is free for the database"
  (
    umask 077
    cat >"$file.part" <<END
# The database of Okazu while it runs: mariadb --defaults-file=$(printf %q "$(basename "$file")")
[client]
host=127.0.0.1
port=$DB_PORT
user=$DB_USER
password=$DB_PASSWORD
[mariadb-client]
database=okazu
END
    # Read by the database before it listens: nobody without a password is let in on the network.
    cat >"$words" <<END
DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host <> 'localhost');
FLUSH PRIVILEGES;
CREATE OR REPLACE USER '$DB_USER'@'localhost' IDENTIFIED BY '$DB_PASSWORD';
CREATE OR REPLACE USER '$DB_USER'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON okazu.* TO '$DB_USER'@'localhost';
GRANT ALL ON okazu.* TO '$DB_USER'@'127.0.0.1';
END
  ) || fail "cannot write to $folder: free some space, or set OKAZU_DATA to another folder"
  mv "$file.part" "$file"
  start_db "$folder" --bind-address=127.0.0.1 --port="$DB_PORT" --init-file="$(cd "$folder" && pwd)/db-access.sql" \
    --innodb-flush-log-at-trx-commit=1
  rm -f "$words"
}
