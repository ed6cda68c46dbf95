# Words and places shared by the run script. Sourced, not run.

say() { printf '\033[1m%s\033[0m\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

# Everything that is started or remembered lives here; PISCATOR_STATE moves it.
STATE="${PISCATOR_STATE:-$ROOT/.piscator}"
APP_PORT="${PORT:-3000}"
APP_HOST=127.0.0.1

need_state() {
  mkdir -p "$STATE" 2>/dev/null && [ -w "$STATE" ] ||
    fail "This folder cannot be written to: $STATE
Clone Piscator somewhere you may write, or name another place: PISCATOR_STATE=/some/folder ./run demo"
}

# A secret kept between runs, made once, readable only by its owner.
secret() { # name
  local file="$STATE/$1.secret"
  if [ ! -s "$file" ]; then
    (umask 077; head -c 48 /dev/urandom | base64 | tr -d '/+=\n' > "$file")
  fi
  cat "$file"
}

is_root() { [ "$(id -u)" = 0 ]; }

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # first free from a start
  local p="$1"
  while port_taken "$p"; do p=$((p + 1)); done
  echo "$p"
}

# Is the process of a pid file alive and ours? Removes the file when not.
pid_alive() { # file, word its command line must hold
  [ -s "$1" ] || return 1
  local pid; pid="$(cat "$1")"
  if kill -0 "$pid" 2>/dev/null && tr '\0' ' ' < "/proc/$pid/cmdline" 2>/dev/null | grep -q -- "$2"; then return 0; fi
  rm -f "$1"
  return 1
}

node_ts() { node_modules/.bin/tsx "$@"; }
