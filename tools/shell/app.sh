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

# The simulated devices, each a program of its own beside the app; without one the app goes on, and says it is away.
device_start() { # name, program, how many ports up, variable that tells it its port
  DEVICE_PORT=$((APP_PORT < 60000 ? APP_PORT + $3 : APP_PORT - $3))
  if port_taken "$DEVICE_PORT"; then
    say "Port $DEVICE_PORT is in use: going on without the simulated $1"
    return 1
  fi
  (
    exec 9>&-
    export "$4=$DEVICE_PORT"
    exec setsid nohup node --import tsx "$2" > "$STATE/$1.log" 2>&1 < /dev/null
  ) &
  echo "$!" > "$STATE/$1.pid"
}
device_stop() { # name, program
  if pid_alive "$STATE/$1.pid" "$2"; then kill "$(cat "$STATE/$1.pid")" 2>/dev/null || true; fi
  rm -f "$STATE/$1.pid"
}
STATION="$ROOT/tools/devices/station.ts"
BOAT="$ROOT/tools/devices/boat.ts"
devices_start() {
  devices_stop
  if device_start station "$STATION" 1000 STATION_PORT; then
    export NUXT_STATION_URL="http://$APP_HOST:$DEVICE_PORT/v1.1" NUXT_STATION_SIMULATED=1
  fi
  if device_start boat "$BOAT" 2000 BOAT_PORT; then
    export NUXT_NMEA_HOST="$APP_HOST" NUXT_NMEA_PORT="$DEVICE_PORT" NUXT_NMEA_SIMULATED=1
  fi
}
devices_stop() {
  device_stop station "$STATION"
  device_stop boat "$BOAT"
}

app_start() {
  devices_start
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
    kill -0 "$pid" 2>/dev/null || {
      tail -n 30 "$STATE/app.start.log" >&2
      devices_stop
      fail "The app stopped while starting."
    }
    if node -e "fetch('http://$APP_HOST:$APP_PORT/api/v1/health').then(r => process.exit(r.ok ? 0 : 1), () => process.exit(1))"; then
      say "Piscator is on http://$APP_HOST:$APP_PORT   (./run stop ends it)"
      return
    fi
    sleep 0.2
  done
  fail "The app did not answer within half a minute; its log is $STATE/app.log"
}

# The app from its sources, in the foreground: an edit is drawn without a build.
app_develop() {
  NUXT_SESSION_PASSWORD="$(secret session)"; export NUXT_SESSION_PASSWORD
  # Others may use the clone meanwhile.
  exec 9>&-
  node_modules/.bin/nuxt dev --host "$APP_HOST" --port "$APP_PORT" &
  local developing=$!
  trap "kill $developing 2>/dev/null || true; devices_stop" EXIT
  trap 'exit 0' INT TERM
  wait "$developing"
}

app_stop() {
  devices_stop
  if app_running; then
    local pid; pid="$(cat "$APP_PID")"
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 1 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -9 "$pid" 2>/dev/null || true
    rm -f "$APP_PID"
    say "Stopped the app"
  fi
}
