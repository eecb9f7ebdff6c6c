# The user of their own under whom database and application run where root starts them. Sourced by ./abbex.
#
# The commands themselves stay root's, and so do the data folder and all in it that they read or write. What the two programs
# write lies in folders of that user below it: the database's, tmp and own. Root never writes there, and reads with that
# user's rights: what such a file might point to is none of its business.

owner=abbex
# In front of a command: the user's rights and no way back; nothing where root is not at work or cannot help it.
as_owner=()

# settle_user: makes the user and hands its folders over. Where the user cannot get to the data folder all runs as root, and
# that is said.
settle_user() {
  as_owner=()
  mkdir -p "$data/own"
  if [ "$(id -u)" = 0 ]; then
    need setpriv=util-linux useradd=passwd
    getent passwd "$owner" >/dev/null ||
      useradd --system --user-group --home-dir /nonexistent --no-create-home --shell /usr/sbin/nologin "$owner" ||
      fail "Can’t make the user $owner, under whom Abbex runs."
    chgrp "$owner" "$data"
    chmod 750 "$data"
    as_owner=(env -C / setpriv "--reuid=$owner" "--regid=$owner" --clear-groups --no-new-privs --inh-caps=-all --bounding-set=-all --)
    "${as_owner[@]}" test -x "$data" 2>/dev/null || {
      as_owner=()
      say_once "The user $owner can’t reach $data: database and application run as root. For a user of their own put Abbex into a folder such as /opt/abbex."
    }
  fi
  hand_over "$data/own"
  settle_former_files
}

said_once=
say_once() { [ -n "$said_once" ] || say "$1"; said_once=1; }

runs_as() { if [ ${#as_owner[@]} -gt 0 ]; then echo "$owner"; else id -un; fi; }

# hand_over FOLDER: to whoever works in it, with all that is in it. No link is followed.
hand_over() {
  [ "$(id -u)" = 0 ] && [ -d "$1" ] || return 0
  local whom
  whom=$(runs_as)
  if [ "$(stat -c %U "$1")" != "$whom" ] || [ -n "$(find "$1" -maxdepth 1 ! -user "$whom" -print -quit)" ]; then
    chown -hR -P "$whom:" "$1"
  fi
}

# readable FILE …: by the application, and changed by root alone.
readable() {
  [ ${#as_owner[@]} -gt 0 ] || return 0
  chgrp "$owner" "$@"
  chmod 640 "$@"
}

# own_text NAME: what the application wrote.
own_text() { own_has "$1" && "${as_owner[@]}" cat "$data/own/$1" 2>/dev/null; }
own_has() { hand_over "$data/own"; "${as_owner[@]}" test -s "$data/own/$1"; }
# own_write NAME: standard input as a file of the application's.
# shellcheck disable=SC2016
own_write() { "${as_owner[@]}" bash -c 'umask 077; cat >"$1.part" && mv -T "$1.part" "$1"' own_write "$data/own/$1"; }

# Of a version in which these two lay in the data folder itself.
settle_former_files() {
  if [ -s "$data/journal" ] && ! own_has journal; then own_write journal <"$data/journal"; fi
  rm -f "$data/journal"
  if [ -s "$data/sign-in" ] && ! own_has sign-in; then own_write sign-in <"$data/sign-in"; fi
}
