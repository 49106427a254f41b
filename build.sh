#!/usr/bin/env bash
# Builds what ./start serves into artifacts/app; each part only when something it is made of is newer.
set -euo pipefail
cd "$(dirname "$0")"

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
  local log=artifacts/build.log
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    say "This failed: $*"
    exit 1
  fi
}

needs dotnet "get the .NET 10 SDK"
needs npm "get Node.js 20 or newer"
mkdir -p artifacts
shared=(src/UpperStill.Core Directory.Build.props Directory.Build.targets Directory.Packages.props global.json)

if stale artifacts/.browser "${shared[@]}" src/UpperStill.Formats src/UpperStill.StandIns demo src/UpperStill.Browser; then
  say "Building the core for the browser…"
  rm -rf artifacts/browser
  run dotnet publish src/UpperStill.Browser -c Release -o artifacts/browser
  rm -rf web/public/core
  mkdir -p web/public/core
  cp -r artifacts/browser/wwwroot/_framework web/public/core/
  rm -f web/public/core/_framework/*.br web/public/core/_framework/*.gz
  touch artifacts/.browser
fi
if stale artifacts/.packages web/package.json web/package-lock.json; then
  say "Fetching the web application's packages…"
  (cd web && npm ci --no-audit --no-fund >../artifacts/build.log 2>&1) || { tail -n 40 artifacts/build.log >&2; exit 1; }
  touch artifacts/.packages
fi
if stale artifacts/.web artifacts/.browser web/src web/public web/index.html web/vite.config.ts web/package-lock.json web/tsconfig.json; then
  say "Building the web application…"
  (cd web && npx vite build >../artifacts/build.log 2>&1) || { tail -n 40 artifacts/build.log >&2; exit 1; }
  touch artifacts/.web
fi
if stale artifacts/.app artifacts/.web "${shared[@]}" src demo; then
  say "Building the server…"
  rm -rf artifacts/app
  # Compiled ahead for this machine the server starts in two thirds of the time; where that cannot be had it runs all the same.
  if ! dotnet publish src/UpperStill.Server -c Release --use-current-runtime --self-contained false -p:PublishReadyToRun=true -o artifacts/app >artifacts/build.log 2>&1; then
    rm -rf artifacts/app
    run dotnet publish src/UpperStill.Server -c Release -o artifacts/app
  fi
  touch artifacts/.app
fi
