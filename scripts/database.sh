# The private database. Sourced by ./abbex.

database_alive() { alive "$data/db.pid" "--datadir=$data/mysql"; }

database_start() {
  mkdir -p "$data/tmp"
  if database_alive >/dev/null; then return 0; fi
  if [ -e "$data/db.pid" ]; then say "The database had ended without a stop. Starting it again."; fi
  if [ ! -d "$data/mysql/mysql" ]; then
    rm -rf "$data/mysql"
    # A server that starts clears the temporary tables of all that share its folder, other servers' too.
    TMPDIR="$data/tmp" mariadb-install-db --no-defaults --datadir="$data/mysql" --user="$(id -un)" --auth-root-authentication-method=socket \
      --auth-root-socket-user="$(id -un)" --skip-test-db >"$data/db-install.log" 2>&1 ||
      fail "Can’t set up the database. See $data/db-install.log"
  fi
  [ -s "$data/db.password" ] || secret 24 >"$data/db.password"
  local dbport folder password pid i
  # Below what the system hands out to clients, of which one might hold it just then.
  dbport=$(cat "$data/db.port" 2>/dev/null || echo $((20000 + RANDOM % 12000)))
  folder=$(cat "$data/db.socket-folder" 2>/dev/null || true)
  if [ ! -d "$folder" ]; then folder=$(mktemp -d /tmp/abbex-XXXXXX); echo "$folder" >"$data/db.socket-folder"; fi
  password=$(cat "$data/db.password")
  cat >"$data/db-init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS abbex CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;
CREATE USER IF NOT EXISTS 'abbex'@'127.0.0.1' IDENTIFIED BY '$password';
ALTER USER 'abbex'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON abbex.* TO 'abbex'@'127.0.0.1';
SQL
  for ((i = 0; i < 5; i++)); do
    dbport=$(free_port_from "$dbport")
    echo "$dbport" >"$data/db.port"
    if database_launch "$dbport" "$folder"; then break; fi
    # Another took the port in between: the next one.
    { [ "$i" -lt 4 ] && tail -n 5 "$data/db.log" | grep -q "Address already in use"; } || fail "The database ended while starting. See $data/db.log"
    dbport=$((dbport + 1))
  done
  port_taken "$dbport" || fail "The database did not answer within 90 seconds. See $data/db.log"
  cat >"$data/db.properties" <<TEXT
spring.datasource.url=jdbc:mariadb://127.0.0.1:$dbport/abbex?connectTimeout=1500&socketTimeout=5000
spring.datasource.username=abbex
spring.datasource.password=$password
TEXT
}

# On a port; false when it ended while starting.
database_launch() {
  local pid i
  # Its own session, so that Ctrl-C ends the application before its database.
  setsid mariadbd --no-defaults --user="$(id -un)" --datadir="$data/mysql" --tmpdir="$data/tmp" --bind-address=127.0.0.1 --port="$1" \
    --socket="$2/s" --pid-file="$data/db.server-pid" --init-file="$data/db-init.sql" --log-error="$data/db.log" \
    --skip-name-resolve --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_520_ci \
    </dev/null >/dev/null 2>&1 9>&- &
  pid=$!
  echo "$pid" >"$data/db.pid"
  for ((i = 0; i < 1800; i++)); do
    # Whoever else holds the port answers too: it is ours only while our process lives.
    [ -d "/proc/$pid" ] || return 1
    if port_taken "$1"; then return 0; fi
    sleep 0.05
  done
}

database_stop() {
  end_process "$data/db.pid" "--datadir=$data/mysql" 30
  if [ -s "$data/db.socket-folder" ]; then rm -rf "$(cat "$data/db.socket-folder")" "$data/db.socket-folder"; fi
}

# Throws the data of this folder away: only what this script made in it.
forget_data() {
  database_stop
  rm -rf "$data/mysql" "$data/ready" "$data/sign-in" "$data/db.password"
}

# Maven without the colour codes that it leaves in a log.
maven() {
  (cd "$here" && umask 022 && mvn -B -ntp -Dstyle.color=never "$@" </dev/null 2>&1 | sed -u $'s/\x1b\\[[0-9;]*m//g')
}

# The private database's own client, with the password out of sight of other users.
client() {
  local tool=$1
  shift
  printf '[client]\nhost=127.0.0.1\nport=%s\nuser=abbex\npassword=%s\n' "$(cat "$data/db.port")" "$(cat "$data/db.password")" >"$data/client.cnf"
  "$tool" --defaults-file="$data/client.cnf" "$@"
}

# The newest migration that these sources know.
known_migration() { find "$here/app/src/main/resources/db/migration" "$here/app/src/main/java/db/migration" -name 'V*__*' | sed -E 's/.*V([0-9]+)__.*/\1/' | sort -n | tail -1; }
# The newest that the database has seen; 0 when there is none.
applied_migration() { client mariadb -N abbex -e "select coalesce(max(cast(version as int)), 0) from flyway_schema_history where success" 2>/dev/null || echo 0; }
