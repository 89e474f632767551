# Sourced by the commands beside it: a fit Node, and the packages of the lock file.
if ! command -v node >/dev/null || ! node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)'; then
  echo "White Ember needs Node.js 20.19 or later; this machine has $(node --version 2>/dev/null || echo none)." >&2
  exit 1
fi
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  echo "Installing packages …" >&2
  npm ci --no-audit --no-fund --loglevel=error >&2
  touch node_modules/.package-lock.json
fi

# Runs one of the server's bundles, made anew where one of its sources is younger: they start in a fraction of the time of the sources.
run_bundle() {
  local name="$1"
  shift
  if [ ! -f "server/dist/$name.js" ] || [ ! -f server/dist/main.js.stamp ] ||
    [ -n "$(find server/src bounded/src core/src package-lock.json -newer server/dist/main.js.stamp -print -quit)" ]; then
    node --import tsx server/src/launch/build.program.ts >&2
  fi
  exec node "server/dist/$name.js" "$@"
}
