# What the machine needs, its ports and processes. Sourced by ./abbex.

# need COMMAND=PACKAGE …: installs the packages whose command is missing.
need() {
  local pair missing=()
  for pair in "$@"; do
    if ! command -v "${pair%%=*}" >/dev/null 2>&1 && [[ " ${missing[*]-} " != *" ${pair#*=} "* ]]; then missing+=("${pair#*=}"); fi
  done
  [ ${#missing[@]} -gt 0 ] || return 0
  [ "$(id -u)" = 0 ] || fail "Missing from this machine: ${missing[*]}. As root: apt-get install ${missing[*]}"
  say "Installing from Debian: ${missing[*]} …"
  export DEBIAN_FRONTEND=noninteractive
  local log
  log=$(mktemp)
  { apt-get update -qq && apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$log" 2>&1 </dev/null ||
    fail "Can’t install Debian packages: ${missing[*]}. Check the network. See $log"
}

need_database() { need openssl=openssl setsid=util-linux flock=util-linux mariadbd=mariadb-server-core mariadb-install-db=mariadb-server-core my_print_defaults=mariadb-client-core mariadb-dump=mariadb-client; }
need_java() {
  need javac=openjdk-17-jdk-headless mvn=maven
  JAVA_HOME=$(dirname "$(dirname "$(readlink -f "$(command -v javac)")")")
  export JAVA_HOME
  local version
  version=$("$JAVA_HOME/bin/javac" -version 2>&1 | sed -E 's/^javac ([0-9]+).*/\1/')
  [ "$version" -ge 17 ] || fail "Java $version is too old. Install 17 or newer."
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
# own_port FILE: waits a little for the port that was ours before; what ended a moment ago may still hold it.
own_port() {
  local i
  [ -s "$1" ] || return 0
  for ((i = 0; i < 100; i++)); do
    port_taken "$(cat "$1")" || return 0
    sleep 0.1
  done
}
free_port_from() {
  local p=$1
  while port_taken "$p"; do p=$((p + 1)); done
  echo "$p"
}

# alive FILE TEXT: prints the pid in FILE if that process runs and its command line has TEXT in it.
alive() {
  local pid
  [ -s "$1" ] && pid=$(cat "$1") && [ -r "/proc/$pid/cmdline" ] || return 1
  tr '\0' ' ' <"/proc/$pid/cmdline" | grep -qF -- "$2" || return 1
  echo "$pid"
}

# end_process FILE TEXT SECONDS: asks it to end, then makes it.
end_process() {
  local pid i
  pid=$(alive "$1" "$2") || { rm -f "$1"; return 0; }
  kill -TERM "$pid" 2>/dev/null || true
  for ((i = 0; i < $3 * 10; i++)); do [ -d "/proc/$pid" ] || break; sleep 0.1; done
  if alive "$1" "$2" >/dev/null; then kill -KILL "$pid" 2>/dev/null || true; sleep 0.2; fi
  rm -f "$1"
}

secret() { od -An -tx1 -N"$1" /dev/urandom | tr -d ' \n'; }
