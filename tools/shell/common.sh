# Words and places shared by the run script. Sourced, not run.

say() { printf '\033[1m%s\033[0m\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

# Everything that is started or remembered lives here; PISCATOR_STATE moves it. A relative name counts from the clone.
STATE="${PISCATOR_STATE:-$ROOT/.piscator}"
case "$STATE" in /*) ;; *) STATE="$ROOT/$STATE" ;; esac
APP_PORT="${PORT:-3000}"
APP_HOST=127.0.0.1

need_port() {
  case "$APP_PORT" in
    ''|*[!0-9]*) fail "PORT must be a number, like  PORT=3100 ./run demo" ;;
  esac
  [ "$APP_PORT" -ge 1 ] && [ "$APP_PORT" -le 65535 ] || fail "PORT must lie between 1 and 65535."
}

need_state() {
  mkdir -p "$STATE" 2>/dev/null && [ -w "$STATE" ] ||
    fail "This folder cannot be written to: $STATE
Clone Piscator somewhere you may write, or name another place: PISCATOR_STATE=/some/folder ./run demo"
  # Records belong to one clone: another that is pointed at them says so instead of using them.
  if [ ! -s "$STATE/clone" ]; then echo "$ROOT" > "$STATE/clone"; fi
  [ "$(cat "$STATE/clone")" = "$ROOT" ] ||
    fail "The records in $STATE belong to another clone of Piscator: $(cat "$STATE/clone")
Name another place (PISCATOR_STATE=/some/folder), or where that clone has moved here:  rm '$STATE/clone'"
}

# One of these at a time in a clone: a second waits for the first.
lock() {
  exec 9>"$STATE/lock"
  flock -n 9 && return
  say "Another ./run is under way in this clone; waiting for it"
  flock -w 900 9 || fail "The other ./run did not end within a quarter of an hour."
}
# What is started goes on by itself: it must not hold the lock.
unlocked() { "$@" 9>&-; }

# A secret kept between runs, made once, readable only by its owner.
secret() { # name
  local file="$STATE/$1.secret"
  if [ ! -s "$file" ]; then
    (umask 077; head -c 48 /dev/urandom | base64 | tr -d '/+=\n' > "$file")
  fi
  [ "$(wc -c < "$file")" -ge 32 ] ||
    fail "The secret in $file is too short to be one. Take the file away and a new one is made; every device is signed out then."
  cat "$file"
}

is_root() { [ "$(id -u)" = 0 ]; }

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # first free from a start
  local p="$1"
  while port_taken "$p"; do p=$((p + 1)); done
  echo "$p"
}

# Is the process of a pid file alive and this clone's? Removes the file when not.
pid_alive() { # file, what its command line must hold
  [ -s "$1" ] || return 1
  local pid; pid="$(cat "$1")"
  if kill -0 "$pid" 2>/dev/null && tr '\0' ' ' < "/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "$2"; then return 0; fi
  rm -f "$1"
  return 1
}

node_ts() { node_modules/.bin/tsx "$@"; }
