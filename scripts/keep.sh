# Backups: made, put back, and made by itself before a migration. Sourced by ./abbex.

BACKUP_MARK='-- Abbex backup, migration'

# dump FILE: one consistent moment of the whole database. Sessions stay behind: nobody is signed in by a backup.
dump() {
  local part=$1.part
  {
    printf '%s %s, kind %s\n' "$BACKUP_MARK" "$(applied_migration)" "$(cat "$data/kind")"
    client mariadb-dump --single-transaction --quick --skip-lock-tables --hex-blob --default-character-set=utf8mb4 \
      --ignore-table-data=abbex.SPRING_SESSION --ignore-table-data=abbex.SPRING_SESSION_ATTRIBUTES abbex
  } | gzip >"$part" || { rm -f "$part"; return 1; }
  mv "$part" "$1"
}

backup() {
  local was_up=1
  [ -e "$data/ready" ] || fail "Nothing to back up yet. Run ./abbex start with this data folder first."
  database_alive >/dev/null || { was_up=; database_start; }
  dump "$1" || fail "Can’t write the backup to $1. Check disk space and folder."
  [ -n "$was_up" ] || database_stop
  say "Backed up to $1."
}

restore() {
  local head migration ran=
  [ -r "$1" ] || fail "Can’t read $1."
  gzip -t "$1" 2>/dev/null || fail "$1 is not a whole backup: damaged or cut short. Nothing was changed."
  head=$(gzip -dc "$1" 2>/dev/null | head -n 1 || true)
  [[ $head == "$BACKUP_MARK "* ]] || fail "$1 is not a backup of Abbex. Nothing was changed."
  gzip -dc "$1" | tail -n 1 | grep -q '^-- Dump completed' || fail "$1 is not a whole backup: its end is missing. Nothing was changed."
  migration=$(sed -E 's/.*migration ([0-9]+),.*/\1/' <<<"$head")
  [ "$migration" -le "$(known_migration)" ] || fail "$1 was made by a newer version of Abbex (migration $migration). Nothing was changed. Update this copy first."
  if app_alive >/dev/null; then ran=1; end_process "$data/app.pid" "-Dabbex.data=$data " 20; fi
  if [ -e "$data/ready" ]; then
    database_start
    mkdir -p "$data/backups"
    dump "$data/backups/before-restore.sql.gz" || fail "Can’t save the present data first. Nothing was changed."
    say "The former data is kept in $data/backups/before-restore.sql.gz."
  fi
  forget_data
  database_start
  gzip -dc "$1" | client mariadb abbex || fail "The backup could not be loaded. The former data is in $data/backups/."
  sed -E 's/.*kind ([a-z]+).*/\1/' <<<"$head" >"$data/kind"
  touch "$data/ready"
  if [ -n "$ran" ]; then background=1; start; else database_stop; say "Restored. Run ./abbex start; people sign in with their own passwords."; fi
}

# Before the database is changed by a newer version, what is there is saved: changes of tables cannot be rolled back.
save_before_migration() {
  local have want
  [ -e "$data/ready" ] || return 0
  have=$(applied_migration)
  want=$(known_migration)
  [ "$have" -lt "$want" ] || return 0
  mkdir -p "$data/backups"
  dump "$data/backups/before-migration-$want.sql.gz" || fail "Can’t save the database before migration $want. Nothing was changed. Check disk space."
  say "Saved the database before migration $want: $data/backups/before-migration-$want.sql.gz"
}
