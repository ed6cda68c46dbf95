# The app's own process. Sourced, not run.

APP_PID="$STATE/app.pid"
# The whole path: the server of another clone is none of ours.
APP_WORD="$ROOT/tools/serve.mjs"

app_running() { pid_alive "$APP_PID" "$APP_WORD"; }

app_port_must_be_free() {
  if app_running; then
    say "Piscator is running already; starting it afresh"
    app_stop
  fi
  if port_taken "$APP_PORT"; then
    fail "Port $APP_PORT is in use by another program. Free it, or choose another port:  PORT=3100 ./run demo"
  fi
}

STATION_PID="$STATE/station.pid"
STATION_WORD="$ROOT/tools/devices/station.ts"

# The simulated station: beside the app, a thousand ports up; without it the app goes on, and says it is away.
station_start() {
  station_stop
  STATION_PORT=$((APP_PORT < 60000 ? APP_PORT + 1000 : APP_PORT - 1000))
  if port_taken "$STATION_PORT"; then
    say "Port $STATION_PORT is in use: going on without the simulated station"
    return
  fi
  (
    exec 9>&-
    export STATION_PORT
    exec setsid nohup node --import tsx "$STATION_WORD" > "$STATE/station.log" 2>&1 < /dev/null
  ) &
  echo "$!" > "$STATION_PID"
  export NUXT_STATION_URL="http://$APP_HOST:$STATION_PORT/v1.1"
}
station_stop() {
  if pid_alive "$STATION_PID" "$STATION_WORD"; then kill "$(cat "$STATION_PID")" 2>/dev/null || true; fi
  rm -f "$STATION_PID"
}

app_start() {
  station_start
  NUXT_SESSION_PASSWORD="$(secret session)"; export NUXT_SESSION_PASSWORD
  export PISCATOR_LOG="$STATE/app.log"
  # The shell becomes the server, so that none stays behind with the lock in its hand.
  (
    exec 9>&-
    export NITRO_HOST="$APP_HOST" NITRO_PORT="$APP_PORT" PORT="$APP_PORT"
    exec setsid nohup node "$APP_WORD" > "$STATE/app.start.log" 2>&1 < /dev/null
  ) &
  local pid=$!
  echo "$pid" > "$APP_PID"
  for _ in $(seq 1 150); do
    # By its number alone: in its first moment the new process does not bear its own name yet.
    kill -0 "$pid" 2>/dev/null || { tail -n 30 "$STATE/app.start.log" >&2; fail "The app stopped while starting."; }
    if node -e "fetch('http://$APP_HOST:$APP_PORT/api/v1/health').then(r => process.exit(r.ok ? 0 : 1), () => process.exit(1))"; then
      say "Piscator is on http://$APP_HOST:$APP_PORT   (./run stop ends it)"
      return
    fi
    sleep 0.2
  done
  fail "The app did not answer within half a minute; its log is $STATE/app.log"
}

app_stop() {
  station_stop
  if app_running; then
    local pid; pid="$(cat "$APP_PID")"
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 1 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -9 "$pid" 2>/dev/null || true
    rm -f "$APP_PID"
    say "Stopped the app"
  fi
}
