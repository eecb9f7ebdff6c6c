# Bringing a backup back: beside what is there, looked at by the application itself, and switched to at the end by one rename.
# Whenever it ends, by a fault, by Ctrl-C or by a power cut, there is the old data or the new. Sourced by ./abbex.


# What a broken restore left.
clear_beside() {
  [ -e "$beside" ] || return 0
  end_process "$beside/app.pid" "-Dabbex.data=$beside " 5
  (data=$beside && database_stop)
  rm -rf "$beside"
}

# unpack_former FILE ROOM: a backup of a version that did not sign; only when the owner says so.
unpack_former() {
  local head
  gzip -t "$1" 2>/dev/null || fail "$1 is not a whole backup: damaged or cut short. Nothing was changed."
  head=$(gzip -dc "$1" 2>/dev/null | head -n 1 || true)
  [[ $head == "-- Abbex backup, migration "* ]] || fail "$1 is not a backup of Abbex. Nothing was changed."
  gzip -dc "$1" | tail -n 1 | grep -q '^-- Dump completed' || fail "$1 is not a whole backup: its end is missing. Nothing was changed."
  [ -n "$unsigned" ] || fail "$1 was made by an older version, which did not sign: nobody can tell who made it. Nothing was changed. If it is yours, add --unsigned."
  mkdir -p "$2"
  sed -E 's/.*migration ([0-9]+), kind ([a-z]+).*/migration: \1\nkind: \2/' <<<"$head" >"$2/abbex-backup"
  cp "$1" "$2/data"
}

# opened FILE ROOM: unpacks, decrypts and looks at what the backup says of itself; data.sql.gz in ROOM.
opened() {
  local room=$2 migration
  if [ "$(head -c 2 "$1" 2>/dev/null | od -An -tx1 | tr -d ' ')" = 1f8b ]; then unpack_former "$1" "$room"; else unpack "$1" "$room" "$made_by"; fi
  if [ "$(told "$room" body)" = data.sql.gz.age ]; then
    [ -n "$identity" ] || fail "$1 is encrypted. Add --identity FILE with the key that opens it. Nothing was changed."
    age -d -i "$identity" -o "$room/data.sql.gz" "$room/data" 2>/dev/null || fail "--identity: $identity does not open $1. Nothing was changed."
    rm "$room/data"
  else
    mv "$room/data" "$room/data.sql.gz"
  fi
  migration=$(told "$room" migration)
  [[ $migration =~ ^[0-9]+$ ]] || fail "$1 is not a backup of Abbex. Nothing was changed."
  [ "$migration" -le "$(known_migration)" ] || fail "$1 was made by a newer version of Abbex (migration $migration). Nothing was changed. Update this copy first."
}

# Into the database beside: by a client that can reach neither shell nor files, under an account that sees this database only.
load_beside() {
  mkdir -p "$data/log"
  (
    data=$beside
    database_start
    # A definer of its own is what the client that made it wrote down; it is the same account here.
    gzip -dc "$data/data.sql.gz" | EDITOR=/bin/false VISUAL=/bin/false PAGER=/bin/false \
      client mariadb --sandbox --binary-mode --local-infile=0 --skip-reconnect --batch abbex >/dev/null
  ) 2>"$data/log/restore-load.log" || {
    grep -v '^Starting' "$data/log/restore-load.log" | tail -n 3 >&2
    return 1
  }
}

# The application itself looks at it, brings it up to date, and says what must stay as it is known to be since.
look_beside() {
  local journal=() known own=0
  # What must not come back is known here, and where the backup lies. How many lines the backup knows itself was counted in its
  # maker's journal, not in another's.
  known=$(told "$beside" journal | grep -x '[0-9]*' || echo 0)
  if [ -s "$beside/maker.pem" ] && cmp -s "$beside/maker.pem" "$data/backup-key/public.pem"; then own=$known; fi
  if own_has journal; then
    own_text journal >"$beside/journal-here" || { say "$data/own/journal can’t be read."; return 1; }
    readable "$beside/journal-here"
    journal+=("$own@$beside/journal-here")
  fi
  if [ -s "$beside/journal" ]; then
    readable "$beside/journal"
    journal+=("$known@$beside/journal")
  fi
  cat "$beside/db.properties" - >"$beside/abbex.properties" <<TEXT
server.port=0
abbex.first=none
abbex.restored.report=$beside/own/report
abbex.restored.journals=$(IFS=,; echo "${journal[*]-}")
logging.file.name=$beside/own/restore.log
TEXT
  readable "$beside/abbex.properties"
  program_as
  timeout 300 "${as_program[@]}" "$JAVA_HOME/bin/java" "-Dabbex.data=$beside" "${jvm[@]}" "${program[@]}" \
    --spring.config.additional-location="file:$beside/abbex.properties" </dev/null >"$data/log/restore-console.log" 2>&1 9>&-
  (data=$beside && own_has report)
}

# A journal that was kept beside the backups counts only when the backup's maker signed it.
journal_of() {
  local file
  file=$(dirname "$1")/abbex.journal
  [ -e "$file" ] || return 0
  (unpack "$file" "$beside/journal-room" "$made_by") >/dev/null 2>&1 || { say "$file is not signed by a known maker: left aside."; return 0; }
  mv "$beside/journal-room/data" "$beside/journal"
}

restore() {
  local kept old
  # Not local: what ends a restore is asked after it has ended well, too.
  ran=
  take_lock
  need_encryption
  build
  clear_beside
  mkdir -p "$beside"
  trap 'restore_ended' EXIT
  opened "$1" "$beside"
  journal_of "$1"
  if app_alive >/dev/null || watch_alive >/dev/null; then ran=1; fi
  say "Loading it beside what is there …"
  load_beside || fail "The backup could not be loaded: see $data/log/restore-load.log. Nothing was changed."
  look_beside || fail "The backup was loaded, but the application cannot work with it: see $data/log/restore-console.log. Nothing was changed."
  end_all
  if [ -e "$data/holds" ]; then keep_former; fi
  switch
  cat "$data/restored" >&2
  if [ -n "$made_by" ]; then echo "$made_by" >>"$data/backup-makers"; fi
  if [ -n "$ran" ]; then
    came_back=1
    start_again
  else
    say "Restored. Run ./abbex start; people sign in with their own passwords."
  fi
}

# A restore that did not come to its end puts back in service what it had stopped.
restore_ended() {
  local status=$?
  trap - EXIT
  clear_beside
  if [ -z "${ran:-}" ]; then
    # What was not running before is not left running; it was started to be kept.
    database_stop
  elif [ -z "${came_back:-}" ] && ! app_alive >/dev/null; then
    (start_again) || true
  fi
  exit "$status"
}

# Under the next free number; data that can be read no more is kept as the folder that it is.
keep_former() {
  if (database_start) && kept=$(keep_apart before-restore); then
    say "The former data is kept in $kept."
  else
    database_stop
    unreadable=1
  fi
}

# switch: from here on the data folder holds the other data. One rename decides.
switch() {
  local old n=1
  (data=$beside && database_stop)
  database_stop
  old=$(store)
  while [ -e "$data/mysql-$n" ]; do n=$((n + 1)); done
  mv "$beside/mysql" "$data/mysql-$n"
  sync "$data/mysql-$n" "$data"
  (data=$beside && own_text report) >"$data/restored"
  if ! own_has journal && [ -s "$beside/journal" ]; then own_write journal <"$beside/journal"; fi
  hold "mysql-$n" "$(told "$beside" kind)"
  if [ -n "${unreadable:-}" ]; then
    n=1
    while [ -e "$data/backups/before-restore-$n" ] || [ -e "$data/backups/before-restore-$n.abbex" ]; do n=$((n + 1)); done
    mkdir -p "$data/backups"
    mv "$data/$old" "$data/backups/before-restore-$n"
    say "The former data could not be read. Its folder is kept as $data/backups/before-restore-$n."
  fi
  clear_strays
}
