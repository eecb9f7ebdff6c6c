# The private database. Sourced by ./abbex.

# What a data folder holds is one line in $data/holds: the database's folder and the kind of shop, demo or empty. A folder with
# that line has been worked with; it is changed by one rename, and nothing without it is ever taken for a shop.
store() { if [ -s "$data/holds" ]; then cut -d ' ' -f 1 "$data/holds"; else echo mysql; fi; }
kind() { cut -d ' ' -f 2 "$data/holds" 2>/dev/null; }
hold() {
  echo "$1 $2" >"$data/holds.part"
  sync "$data/holds.part"
  mv "$data/holds.part" "$data/holds"
  sync "$data"
}

# A folder of a former version, which had two files for it, and one whose start was broken off after it had told how to sign in.
settle_former() {
  if [ -s "$data/holds" ] || [ ! -d "$data/mysql" ] || [ ! -s "$data/kind" ]; then return 0; fi
  if [ -e "$data/ready" ] || [ -s "$data/sign-in" ]; then hold mysql "$(cat "$data/kind")"; rm -f "$data/ready"; fi
}

# Database folders that nothing points to: an old one after a switch, a new one before it.
clear_strays() {
  local folder held
  [ -s "$data/holds" ] || return 0
  held=$(store)
  for folder in "$data"/mysql "$data"/mysql-[0-9]*; do
    if [ -d "$folder" ] && [ "$folder" != "$data/$held" ]; then rm -rf "$folder"; fi
  done
}

# One whose number was never written down, because the command was broken off just then, is found by its folder.
database_alive() {
  alive "$data/db.pid" "--datadir=$data/$(store) " && return 0
  local file
  # The text comes in by a pipe: as an argument the search would find itself.
  file=$(printf '%s\n' "--datadir=$data/$(store)" | grep -lzxF -f - /proc/[0-9]*/cmdline 2>/dev/null | head -n 1) || true
  [ -n "$file" ] || return 1
  file=${file#/proc/}
  echo "${file%/cmdline}" | tee "$data/db.pid"
}

# Two accounts: the application's works with rows and cannot change a table; only migrations, backups and restores have the other.
database_start() {
  mkdir -p "$data/tmp"
  settle_user
  hand_over "$data/tmp"
  if database_alive >/dev/null; then return 0; fi
  if [ -e "$data/db.pid" ]; then say "The database had ended without a stop. Starting it again."; fi
  if [ ! -d "$data/$(store)/mysql" ]; then
    # Where a shop was, nothing is made anew in its place.
    [ ! -s "$data/holds" ] || fail "The database’s folder $data/$(store) is missing or damaged. Nothing was changed. Bring a backup back: ./abbex restore FILE."
    rm -rf "${data:?}/$(store)"
    # A server that starts clears the temporary tables of all that share its folder, other servers' too.
    TMPDIR="$data/tmp" mariadb-install-db --no-defaults --datadir="$data/$(store)" --user="$(runs_as)" --auth-root-authentication-method=socket \
      --auth-root-socket-user="$(id -un)" --skip-test-db >"$data/db-install.log" 2>&1 ||
      fail "Can’t set up the database. See $data/db-install.log"
  fi
  [ -s "$data/db.password" ] || secret 24 >"$data/db.password"
  [ -s "$data/db.app-password" ] || secret 24 >"$data/db.app-password"
  local dbport folder password app_password i
  # Below what the system hands out to clients, of which one might hold it just then.
  own_port "$data/db.port"
  dbport=$(cat "$data/db.port" 2>/dev/null || echo $((20000 + RANDOM % 12000)))
  folder=$(cat "$data/db.socket-folder" 2>/dev/null || true)
  if [ ! -d "$folder" ]; then folder=$(mktemp -d /tmp/abbex-XXXXXX); echo "$folder" >"$data/db.socket-folder"; fi
  password=$(cat "$data/db.password")
  app_password=$(cat "$data/db.app-password")
  hand_over "$data/$(store)"
  hand_over "$folder"
  cat >"$data/db-init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS abbex CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;
CREATE USER IF NOT EXISTS 'abbex'@'127.0.0.1' IDENTIFIED BY '$password';
ALTER USER 'abbex'@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON abbex.* TO 'abbex'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'abbex_app'@'127.0.0.1' IDENTIFIED BY '$app_password';
ALTER USER 'abbex_app'@'127.0.0.1' IDENTIFIED BY '$app_password';
GRANT SELECT, INSERT, UPDATE, DELETE ON abbex.* TO 'abbex_app'@'127.0.0.1';
SQL
  readable "$data/db-init.sql"
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
spring.datasource.username=abbex_app
spring.datasource.password=$app_password
spring.flyway.url=jdbc:mariadb://127.0.0.1:$dbport/abbex?connectTimeout=1500
spring.flyway.user=abbex
spring.flyway.password=$password
TEXT
}

# On a port; false when it ended while starting.
database_launch() {
  local pid i
  # Its own session, so that Ctrl-C ends the application before its database. The tests add that it need outlive no power cut.
  setsid "${as_owner[@]}" mariadbd --no-defaults --user="$(runs_as)" --datadir="$data/$(store)" --tmpdir="$data/tmp" --bind-address=127.0.0.1 --port="$1" \
    --socket="$2/s" --pid-file="$data/tmp/db.server-pid" --init-file="$data/db-init.sql" \
    --skip-name-resolve --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_520_ci ${ABBEX_DATABASE_MORE:-} \
    </dev/null >/dev/null 2>>"$data/db.log" 9>&- &
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
  database_alive >/dev/null || true
  end_process "$data/db.pid" "--datadir=$data/$(store) " 30
  if [ -s "$data/db.socket-folder" ]; then rm -rf "$(cat "$data/db.socket-folder")" "$data/db.socket-folder"; fi
}

# Throws the data of this folder away: only what this script made in it.
forget_data() {
  database_stop
  rm -f "$data/kind" "$data/ready"
  rm -rf "$data/holds" "$data"/mysql "$data"/mysql-[0-9]* "$data/ready" "$data/sign-in" "$data/db.password" "$data/journal" "$data/own"
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
