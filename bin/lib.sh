# What bin/demo, bin/serve and bin/test have in common: each installs only what is missing or stale.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

fail() {
  printf '%s\n' "$1" >&2
  exit 1
}

need_node() {
  command -v node >/dev/null 2>&1 || fail 'Node.js 20.9 or newer is needed; install it and start again.'
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 9) ? 0 : 1)' ||
    fail "Node.js 20.9 or newer is needed; this is $(node --version)."
}

# need_program COMMAND PACKAGE: installs a Debian package where its command is missing.
need_program() {
  command -v "$1" >/dev/null 2>&1 || [ -x "/usr/sbin/$1" ] && return 0
  local root=''
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null || fail "Please install the Debian package $2 and start again."
    root='sudo -n'
  fi
  command -v apt-get >/dev/null 2>&1 || fail "Please install $2 and start again."
  echo "Installing $2 ..."
  $root apt-get update -qq >/dev/null
  # The package would start a server of its own; ours is started on loopback from a folder of this checkout.
  $root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$2" >/dev/null ||
    fail "The Debian package $2 could not be installed; install it and start again."
}

digest_of() { find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1; }

need_packages() {
  local stamp=node_modules/.installed want
  want=$(digest_of package-lock.json)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return 0
  echo 'Installing packages ...'
  npm ci --include=dev --no-audit --no-fund --loglevel=error
  echo "$want" >"$stamp"
}

# need_build FOLDER: builds the application into it when it is missing or older than the sources.
need_build() {
  local stamp="$1/.built" want
  want=$(digest_of src package-lock.json next.config.ts postcss.config.mjs tsconfig.json scripts/compress.mjs)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return 0
  echo 'Building the application ...'
  mkdir -p "$1"
  HEFETEIG_BUILD="$1" NEXT_TELEMETRY_DISABLED=1 node_modules/.bin/next build >"$1.log" 2>&1 || {
    cat "$1.log" >&2
    fail 'The build failed; what it said is above.'
  }
  node scripts/compress.mjs "$1"
  echo "$want" >"$stamp"
}
