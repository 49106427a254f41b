#!/usr/bin/env bash
# Builds what ./start serves into artifacts/app; each part only when something it is made of is newer.
# ./build.sh core|web|server builds that part alone; QUICK=1 leaves out compressing, which tests do not need.
set -euo pipefail
cd "$(dirname "$0")"

# A compiler makes and forgets much: room before its first collection saves a seventh of its time.
export DOTNET_GCgen0size=0x8000000

say() { printf '%s\n' "$*" >&2; }
# True if any of the files under the paths after the first argument is newer than it.
stale() {
  local stamp=$1
  shift
  [ ! -e "$stamp" ] && return 0
  [ -n "$(find "$@" \( -name bin -o -name obj -o -name node_modules -o -name wwwroot -o -path src/UpperStill.Server/api -o -path web/public/core \) -prune -o -type f -newer "$stamp" -print -quit)" ]
}
needs() {
  command -v "$1" >/dev/null || { say "$1 is not installed: $2"; exit 1; }
}
run() {
  local log=artifacts/build-$part.log
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    say "This failed: $*"
    exit 1
  fi
}
in_web() { (cd web && "$@"); }
shared=(src/UpperStill.Core Directory.Build.props Directory.Build.targets Directory.Packages.props global.json)

build_core() {
  stale artifacts/.browser "${shared[@]}" src/UpperStill.Formats src/UpperStill.StandIns demo src/UpperStill.Browser || return 0
  say "Building the core for the browser…"
  rm -rf artifacts/browser
  # The server's build compresses it; here it would be done for nothing.
  run dotnet publish src/UpperStill.Browser -c Release -p:CompressionEnabled=false -o artifacts/browser
  rm -rf web/public/core
  mkdir -p web/public/core
  cp -r artifacts/browser/wwwroot/_framework web/public/core/
  touch artifacts/.browser
}

build_packages() {
  stale artifacts/.packages web/package.json web/package-lock.json || return 0
  say "Fetching the web application's packages…"
  run in_web npm ci --no-audit --no-fund
  touch artifacts/.packages
}

build_web() {
  stale artifacts/.web artifacts/.browser web/src web/public web/index.html web/vite.config.ts web/package-lock.json web/tsconfig.json || return 0
  say "Building the web application…"
  run in_web npx vite build
  touch artifacts/.web
}

build_server() {
  stale artifacts/.app artifacts/.web "${shared[@]}" src demo || return 0
  say "Building the server…"
  rm -rf artifacts/app
  # Compiled ahead; where that cannot be had it runs all the same.
  local publish=(dotnet publish src/UpperStill.Server -c Release ${QUICK:+-p:CompressionEnabled=false} -o artifacts/app)
  if ! "${publish[@]}" >artifacts/build-server.log 2>&1; then
    rm -rf artifacts/app
    run "${publish[@]}" -p:CompileAhead=false
  fi
  touch artifacts/.app
}

needs dotnet "get the .NET 10 SDK"
needs npm "get Node.js 20 or newer"
mkdir -p artifacts
for part in ${1:-core packages web server}; do
  "build_$part"
done
