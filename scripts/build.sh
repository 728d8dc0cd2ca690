# Shared by ./demo and ./test: installs and builds what is missing or stale. Sourced, not run.

need() {
  command -v "$1" >/dev/null 2>&1 || { echo "Ingegno needs $2. Install it and start again." >&2; exit 1; }
}

check_tools() {
  need dotnet "the .NET 10 SDK"
  need node "Node 20 or newer"
  need npm "npm, which comes with Node"
  export DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 NO_UPDATE_NOTIFIER=1
}

# stale TARGET PATH...: true when the target is missing or anything below the paths is newer.
stale() {
  local target=$1
  shift
  [ ! -e "$target" ] || [ -n "$(find "$@" -newer "$target" -type f -not -path '*/obj/*' -not -path '*/node_modules/*' -print -quit 2>/dev/null)" ]
}

# install_npm FOLDER: npm ci, unless what is installed is what the lock file says.
install_npm() {
  if stale "$1/node_modules/.package-lock.json" "$1/package-lock.json"; then
    (cd "$1" && npm ci --no-audit --no-fund --loglevel=error) && touch "$1/node_modules/.package-lock.json"
  fi
}

build_web() {
  install_npm web || return 1
  if stale web/build/index.html web/src web/static web/package-lock.json web/svelte.config.js web/vite.config.ts; then
    (cd web && npx vite build --logLevel error) && touch web/build/index.html
  fi
}

SERVER=artifacts/bin/Ingegno.Server/release/Ingegno.Server.dll

build_server() {
  if stale "$SERVER" src Directory.Build.props Directory.Packages.props; then
    dotnet build src/Ingegno.Server -c Release -v quiet && touch "$SERVER"
  fi
}
