# What has to be there before anything starts: system packages, node modules, the build. Sourced, not run.

node_is_new_enough() {
  command -v node >/dev/null && node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=19)?0:1)'
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

need_packages() { # postgres chromium cluster
  node_is_new_enough || fail "Piscator needs Node.js 20.19 or newer."
  local missing=()
  for want in "$@"; do
    case "$want" in
      postgres) [ -n "$(pg_bin)" ] && [ -x "$(pg_bin)/initdb" ] || missing+=(postgresql) ;;
      chromium)
        [ -x /usr/bin/chromium-headless-shell ] || [ -x /usr/bin/chromium ] || missing+=(chromium-headless-shell) ;;
      cluster)
        command -v haproxy > /dev/null || [ -x /usr/sbin/haproxy ] || missing+=(haproxy)
        command -v etcd > /dev/null || missing+=(etcd-server)
        command -v patroni > /dev/null || missing+=(patroni python3-etcd) ;;
    esac
  done
  [ "${#missing[@]}" = 0 ] && return
  say "Installing system packages: ${missing[*]}"
  local apt=(apt-get)
  if ! is_root; then
    command -v sudo >/dev/null && sudo -n true 2>/dev/null && apt=(sudo apt-get) ||
      fail "Missing system packages: ${missing[*]}
Install them as an administrator, then run this again:  apt-get install ${missing[*]}"
  fi
  "${apt[@]}" -o DPkg::Lock::Timeout=120 update -qq
  DEBIAN_FRONTEND=noninteractive "${apt[@]}" -o DPkg::Lock::Timeout=120 install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
}

fingerprint() { # of the contents of files and folders
  find "$@" -type f -print0 2>/dev/null | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1
}

need_modules() {
  node_is_new_enough || fail "Piscator needs Node.js 20.19 or newer."
  local mark; mark="$(fingerprint package.json package-lock.json .npmrc)"
  [ "$(cat node_modules/.installed-from 2>/dev/null)" = "$mark" ] && return
  [ -w . ] || fail "This folder cannot be written to, so its packages cannot be installed: $ROOT"
  say "Installing packages (about a minute)"
  npm ci --no-audit --no-fund
  echo "$mark" > node_modules/.installed-from
}

need_build() {
  local mark; mark="$(fingerprint app core shared server public tools/build nuxt.config.ts package-lock.json)"
  [ "$(cat .output/.built-from 2>/dev/null)" = "$mark" ] && return
  say "Building (about a minute)"
  node_modules/.bin/nuxt build > "$STATE/build.log" 2>&1 || { tail -n 40 "$STATE/build.log" >&2; fail "The build failed; all of it is in $STATE/build.log"; }
  echo "$mark" > .output/.built-from
}
