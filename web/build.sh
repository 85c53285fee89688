#!/usr/bin/env bash
# Builds the interface with the system's Node; what has not changed since the last build is not built again.
set -eu
cd "$(dirname "$0")"
# One at a time: bin/test looks the interface over while Maven packs it.
exec 9<.
flock 9
if [ ! -e node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund --loglevel=error
  touch node_modules/.package-lock.json
fi
newest=$(find src public index.html handsets.html package.json package-lock.json vite.config.ts pack.js budget.js tsconfig.json ../docs/openapi.json -newer dist/built -print -quit 2>/dev/null || echo none)
if [ -e dist/built ] && [ -z "$newest" ]; then
  exit 0
fi
npm run --silent build
touch dist/built
