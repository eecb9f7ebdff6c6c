# Backups as files: made, signed, looked at before anything is done with them. Sourced by ./abbex.
#
# A backup is a tar of four members: what it is (abbex-backup), its data, the maker's public key and the maker's signature of
# the first. It is data: nothing in it is ever run, and what was changed, cut or made by strangers is told by its signature.

# The installation's own pair, with which it signs what it makes and knows it again.
own_key() {
  if [ -s "$data/backup-key/public.pem" ]; then return 0; fi
  rm -rf "$data/backup-key.part"
  mkdir -p "$data/backup-key.part"
  openssl genpkey -algorithm ed25519 -out "$data/backup-key.part/private.pem" 2>/dev/null &&
    openssl pkey -in "$data/backup-key.part/private.pem" -pubout -out "$data/backup-key.part/public.pem" || fail "Can’t make the key that backups are signed with."
  rm -rf "$data/backup-key"
  mv "$data/backup-key.part" "$data/backup-key"
}

# fingerprint PEM: of a maker, to be read out and typed: eighty bits in groups of four.
fingerprint() { openssl pkey -pubin -in "$1" -outform DER 2>/dev/null | sha256sum | sed -E 's/^(....)(....)(....)(....)(....).*/\1-\2-\3-\4-\5/'; }

sum_of() { sha256sum <"$1" | sed 's/ .*//'; }

# pack FILE DATA LINE …: signs DATA with what the lines say of it and writes both as FILE, whole or not at all.
pack() {
  local file=$1 body=$2 room
  shift 2
  own_key
  room=$(mktemp -d "$data/pack-XXXXXX")
  {
    echo 'abbex-backup: 2'
    printf '%s\n' "$@"
    echo "sha256: $(sum_of "$body")"
  } >"$room/abbex-backup" &&
    openssl pkeyutl -sign -rawin -inkey "$data/backup-key/private.pem" -in "$room/abbex-backup" -out "$room/signature" &&
    cp "$data/backup-key/public.pem" "$room/maker.pem" &&
    mv "$body" "$room/data" &&
    tar -C "$room" -cf "$file.part" abbex-backup signature maker.pem data 2>/dev/null &&
    sync "$file.part" && mv "$file.part" "$file" && sync "$(dirname "$file")" ||
    { rm -rf "$room" "$file.part"; return 1; }
  rm -rf "$room"
}

# told ROOM NAME: what a backup that was unpacked there says of itself.
told() { sed -n "s/^$2: //p" "$1/abbex-backup" | head -n 1; }

# unpack FILE ROOM MAKER: its members in ROOM, seen to be whole and of this installation or of the maker with that fingerprint.
unpack() {
  local file=$1 room=$2 maker=$3 member of
  [ -r "$file" ] || fail "Can’t read $file."
  mkdir -p "$room"
  for member in abbex-backup signature maker.pem; do
    tar -xOf "$file" "$member" 2>/dev/null | head -c 8192 >"$room/$member" || true
  done
  [ "$(head -n 1 "$room/abbex-backup")" = 'abbex-backup: 2' ] || fail "$file is not a backup of Abbex. Nothing was changed."
  openssl pkeyutl -verify -rawin -pubin -inkey "$room/maker.pem" -in "$room/abbex-backup" -sigfile "$room/signature" >/dev/null 2>&1 ||
    fail "$file was changed after it was made. Nothing was changed here."
  of=$(fingerprint "$room/maker.pem")
  if [ "$of" != "$maker" ] && ! known_maker "$of"; then
    fail "$file was made by another installation, $of. Nothing was changed. If this is the one that its owner wrote down, add --made-by $of."
  fi
  tar -xOf "$file" data 2>/dev/null >"$room/data" || true
  [ "$(sum_of "$room/data")" = "$(told "$room" sha256)" ] || fail "$file is damaged or cut short. Nothing was changed."
}

known_maker() {
  if [ -s "$data/backup-key/public.pem" ] && [ "$(fingerprint "$data/backup-key/public.pem")" = "$1" ]; then return 0; fi
  grep -qxF "$1" "$data/backup-makers" 2>/dev/null
}

# dump FILE: one consistent moment of the whole database, signed. Sessions stay behind: nobody is signed in by a backup.
dump() {
  local part=$1.data body=data.sql.gz known
  # What was written a minute ago is in the database for certain; what is younger is told again at a restore.
  known=$(own_text journal | awk -v before="$(date -u -d '1 minute ago' +%Y-%m-%dT%H:%M:%S)" '$5 == "." { all++; if ($1 < before) n = all } END { print n + 0 }' || true)
  client mariadb-dump --single-transaction --quick --skip-lock-tables --hex-blob --default-character-set=utf8mb4 \
    --ignore-table-data=abbex.SPRING_SESSION --ignore-table-data=abbex.SPRING_SESSION_ATTRIBUTES abbex | gzip >"$part" || { rm -f "$part"; return 1; }
  if [ -n "$encrypt_to" ]; then
    age -r "$encrypt_to" -o "$part.age" "$part" || { rm -f "$part" "$part.age"; return 1; }
    mv "$part.age" "$part"
    body=data.sql.gz.age
  fi
  pack "$1" "$part" "migration: $(applied_migration)" "kind: $(kind)" "journal: $known" "made: $(date -u +%Y-%m-%dT%H:%M:%SZ)" "body: $body" || { rm -f "$part"; return 1; }
}

# keep_apart NAME: the present data, signed, under the next free number in backups/; prints where.
keep_apart() {
  local n=1
  mkdir -p "$data/backups"
  while [ -e "$data/backups/$1-$n.abbex" ] || [ -e "$data/backups/$1-$n" ]; do n=$((n + 1)); done
  (encrypt_to='' && dump "$data/backups/$1-$n.abbex") || return 1
  echo "$data/backups/$1-$n.abbex"
}

need_encryption() {
  [ -z "$encrypt_to$identity" ] || need age=age
  [ -z "$encrypt_to" ] || echo x | age -r "$encrypt_to" >/dev/null 2>&1 || fail "--encrypt-to: can’t read “$encrypt_to”. Enter a public key of age, such as age-keygen prints: age1…"
}

backup() {
  local was_up=1
  [ -e "$data/holds" ] || fail "Nothing to back up yet. Run ./abbex start with this data folder first."
  need_encryption
  database_alive >/dev/null || { was_up=; database_start; }
  dump "$1" || fail "Can’t write the backup to $1. Check disk space and folder."
  [ -n "$was_up" ] || database_stop
  say "Backed up to $1. Its maker, to write down for a day when this computer is gone: $(fingerprint "$data/backup-key/public.pem")"
}

# Before the database is changed by a newer version, what is there is saved: changes of tables cannot be rolled back.
save_before_migration() {
  local have want kept
  [ -e "$data/holds" ] || return 0
  have=$(applied_migration)
  want=$(known_migration)
  [ "$have" -lt "$want" ] || return 0
  kept=$(keep_apart "before-migration-$want") || fail "Can’t save the database before migration $want. Nothing was changed. Check disk space."
  echo "$kept" >"$data/before-migration"
  say "Saved the database before migration $want: $kept"
}
