# Watching over a running Abbex: what ended by itself is started again, and backups are made by the day. Sourced by ./abbex.

watch_alive() { alive "$data/watch.pid" "abbex"; }

# Only one command at a time changes a data folder.
take_lock() {
  mkdir -p "$data"
  exec 9>"$data/lock"
  flock -n 9 || { say "Another command is at work in this data folder. Waiting …"; flock 9; }
}

# How it was started, so that it comes back the same: after a restore and after a crash.
remember_how() {
  printf '%s=%q\n' listen "$listen" https_port "$https_port" cert "$cert" key "$key" >"$data/how"
}
recall_how() {
  # shellcheck source=/dev/null
  if [ -s "$data/how" ]; then . "$data/how"; fi
}

# Database and application, as they were; the watch too, unless it is there.
start_again() {
  recall_how
  database_start
  save_before_migration
  app_launch || return 1
  if ! watch_alive >/dev/null; then watch_apart; fi
  two_lines
}

end_all() {
  instruments_stop
  end_process "$data/app.pid" "-Dabbex.data=$data " 20
  database_stop
}

watch_apart() {
  setsid "$here/abbex" watch --data "$data" </dev/null >>"$data/log/watch.log" 2>&1 9>&- &
}

# Until it is told to end. Whoever works in the folder holds its lock; then nothing is touched.
watch_over() {
  local failed=0 rest=0 n=0
  echo "$BASHPID" >"$data/watch.pid"
  exec 9>"$data/lock"
  while :; do
    sleep 2 9>&- &
    wait $! || true
    n=$((n + 1))
    if [ "$rest" -gt 0 ]; then rest=$((rest - 1)); continue; fi
    flock -n 9 || continue
    if look_after; then
      [ "$n" -le 30 ] || failed=0
    else
      # A disk that is full or a fault that stays: tried again at longer and longer intervals, up to a minute.
      failed=$((failed + 1))
      rest=$((failed > 5 ? 30 : 2 ** (failed - 1)))
    fi
    flock -u 9
    if [ $((n % 15)) = 2 ]; then scheduled_backup || true; fi
  done
}

# Starts what should run and does not; false when something had ended.
look_after() {
  local well=1 dbport
  dbport=$(cat "$data/db.port" 2>/dev/null || true)
  if ! database_alive >/dev/null; then
    well=
    say "$(date -u +%FT%TZ) The database had ended. Starting it again."
    (database_start) || return 1
    # Somewhere else it is not found by the application that runs.
    if [ "$dbport" != "$(cat "$data/db.port")" ]; then end_process "$data/app.pid" "-Dabbex.data=$data " 20; fi
  fi
  if ! app_alive >/dev/null; then
    well=
    say "$(date -u +%FT%TZ) The application had ended. Starting it again."
    (recall_how && app_launch) || return 1
  fi
  [ -n "$well" ]
}

# ---- backups by the day ----------------------------------------------------------------------------------------------

# Where they go is remembered: backups that were asked for do not end by being forgotten.
remember_schedule() {
  [ -n "$backup_to" ] || return 0
  if [ "$backup_to" = none ]; then rm -f "$data/schedule" "$data/backup-state"; return 0; fi
  mkdir -p "$backup_to" 2>/dev/null && [ -w "$backup_to" ] || fail "--backup-to: can’t write into $backup_to. Nothing was started."
  printf '%s=%q\n' backup_to "$(cd "$backup_to" && pwd)" encrypt_to "$encrypt_to" >"$data/schedule"
  rm -f "$data/backup-failed"
  say_state "$backup_to"
}

# newest_backup FOLDER: when the newest backup there was made, in seconds since 1970; nothing when there is none. One that a
# clock which has since gone back dates into the future is none.
newest_backup() {
  local until
  until=$(($(date +%s) + 60))
  find "$1" -maxdepth 1 -name 'abbex-*.abbex' -printf '%T@\n' 2>/dev/null | cut -d . -f 1 | awk -v until="$until" '$1 <= until && $1 > n { n = $1 } END { if (n) print n }'
}

# say_state FOLDER: for the lead's page.
say_state() {
  local newest
  newest=$(newest_backup "$1")
  {
    echo "to $1"
    [ -z "$newest" ] || echo "last $(date -u -d "@$newest" +%Y-%m-%dT%H:%M:%SZ)"
    [ ! -s "$data/backup-failed" ] || echo "failed $(head -n 1 "$data/backup-failed")"
  } >"$data/backup-state.part"
  readable "$data/backup-state.part"
  mv "$data/backup-state.part" "$data/backup-state"
}

scheduled_backup() {
  [ -s "$data/schedule" ] || return 0
  (
    # shellcheck source=/dev/null
    . "$data/schedule"
    newest=$(newest_backup "$backup_to")
    if [ -n "$newest" ] && [ "$newest" -gt $(($(date +%s) - 86400)) ]; then exit 0; fi
    # After a failure an hour's rest.
    if [ -e "$data/backup-failed" ] && [ $(($(date +%s) - $(stat -c %Y "$data/backup-failed"))) -lt 3600 ]; then exit 0; fi
    flock -n 9 || exit 0
    file=$backup_to/abbex-$(date -u +%Y-%m-%dT%H%M%SZ).abbex
    if said=$( (mkdir -p "$backup_to" && need_encryption && dump "$file" && beside_journal "$backup_to") 2>&1) && [ -s "$file" ]; then
      rm -f "$data/backup-failed"
      prune "$backup_to"
    else
      printf '%s\n' "${said:-Can’t write into $backup_to.}" | tail -n 1 >"$data/backup-failed"
      rm -f "$file" "$file.part"
    fi
    say_state "$backup_to"
    flock -u 9
  )
}

# What must not come back goes along, signed, so that a restore on another machine knows it too.
beside_journal() {
  own_has journal || return 0
  own_text journal >"$data/journal.copy"
  pack "$1/abbex.journal" "$data/journal.copy" "body: journal" "made: $(date -u +%Y-%m-%dT%H:%M:%SZ)"
}

# prune FOLDER: of backups by the day the newest of each of the last seven days, four weeks and twelve months stay.
prune() {
  local file name stamp
  find "$1" -maxdepth 1 -name 'abbex-????-??-??T??????Z.abbex' | LC_ALL=C sort -r | while IFS= read -r file; do
    name=$(basename "$file")
    stamp=${name:6:10}
    printf '%s %s %s %s\n' "$stamp" "$(date -u -d "$stamp" +%G-%V 2>/dev/null || echo "$stamp")" "${stamp:0:7}" "$file"
  done | awk '{
      keep = 0
      if (!($1 in day)) { day[$1] = 1; if (++days <= 7) keep = 1 }
      if (!($2 in week)) { week[$2] = 1; if (++weeks <= 4) keep = 1 }
      if (!($3 in month)) { month[$3] = 1; if (++months <= 12) keep = 1 }
      if (!keep) { sub(/^[^ ]+ [^ ]+ [^ ]+ /, ""); print }
    }' | while IFS= read -r file; do rm -f "$file"; done
}
