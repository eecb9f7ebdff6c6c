# Stand-ins for measuring instruments: a process of its own beside the demo. Sourced by ./abbex.

instruments_alive() { alive "$data/instruments.pid" "abbex.instruments.Instruments"; }

# Beside the demo only: a shop has instruments of its own. What they show is said in the log and by ./abbex instruments.
instruments_start() {
  [ -n "$demo" ] && [ -z "${ABBEX_CLASSES:-}" ] && [ -s "$data/instruments.port" ] || return 0
  ! instruments_alive >/dev/null || return 0
  setsid "${as_program[@]}" "$JAVA_HOME/bin/java" -Xmx32m -XX:+UseSerialGC -XX:-UsePerfData -cp "$here/app/target/run/instruments.jar" \
    abbex.instruments.Instruments "$(cat "$data/instruments.port")" --alone </dev/null >"$data/log/instruments.log" 2>&1 9>&- &
  echo $! >"$data/instruments.pid"
  disown
}

instruments_stop() { end_process "$data/instruments.pid" "abbex.instruments.Instruments" 5; }

# At this keyboard instead of by themselves.
instruments() {
  app_alive >/dev/null || fail "The instruments speak to the running application. Run ./abbex start --background first."
  build
  instruments_stop
  say "Enter WRENCH 92.4 Nm, HEIGHT 341.5 mm, GAUGE 33 psi or SCALE 812.5 lb; WRENCH doubled switches a fault. Ctrl-D ends."
  exec "$JAVA_HOME/bin/java" -Xmx32m -cp "$here/app/target/run/instruments.jar" \
    abbex.instruments.Instruments "$(cat "$data/instruments.port")"
}
