# Shared by bin/start, bin/test and bin/bench: installing what is missing, and a PostgreSQL server of our own on loopback.
# Sourced, not run. Expects $root (the checkout) and defines functions only.

say() { printf '%s\n' "$*"; }
die() { printf '%s: %s\n' "$(basename "$0")" "$*" >&2; exit 1; }

PHP_PACKAGES="php8.2-cli php8.2-pgsql php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath php8.2-mbstring php8.2-intl php8.2-xml"
SERVER_PACKAGES="postgresql-15 composer unzip"
# Compiled once and kept compiled: for work that takes longer than a moment.
export PHP_FAST="-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M"
BROWSER_PACKAGES="chromium chromium-driver"

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

have_package() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q 'install ok installed'; }

# need_packages NAME...: installs the Debian packages that are missing, all in one go.
need_packages() {
    local missing="" name
    for name in "$@"; do
        case "$name" in
            composer) command -v composer >/dev/null || missing="$missing $name" ;;
            unzip) command -v unzip >/dev/null || missing="$missing $name" ;;
            nodejs | npm) command -v "${name%js}" >/dev/null || missing="$missing $name" ;;
            *) have_package "$name" || missing="$missing $name" ;;
        esac
    done
    [ -z "$missing" ] && return 0
    if [ "$(id -u)" != 0 ] && ! sudo -n true 2>/dev/null; then
        die "missing Debian packages and neither root nor sudo to install them; run: apt-get install$missing"
    fi
    say "Installing Debian packages:$missing"
    as_root apt-get update -qq >/dev/null 2>&1 || true
    # shellcheck disable=SC2086
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing >"$root/var/apt.log" 2>&1 \
        || die "apt-get could not install$missing; see var/apt.log"
}

# stale STAMP FILE...: true when a file's content differs from what the stamp remembers.
stale() {
    local stamp=$1; shift
    [ "$(cat "$stamp" 2>/dev/null)" != "$(cat "$@" | sha256sum)" ]
}

remember() {
    local stamp=$1; shift
    cat "$@" | sha256sum >"$stamp"
}

need_composer() {
    if [ ! -f vendor/autoload.php ] || stale var/composer.stamp composer.json; then
        say "Installing PHP libraries"
        COMPOSER_ALLOW_SUPERUSER=1 composer install --ignore-platform-req=php+ --no-interaction --no-progress >var/composer.log 2>&1 \
            || die "composer install failed; see var/composer.log"
        # Which libraries announce themselves is read anew when somebody asks.
        rm -f bootstrap/cache/packages.php bootstrap/cache/services.php
        remember var/composer.stamp composer.json
    fi
}

need_npm() {
    if [ ! -d node_modules ] || stale var/npm.stamp package-lock.json; then
        say "Installing front-end libraries"
        npm ci --no-audit --no-fund >var/npm.log 2>&1 || die "npm ci failed; see var/npm.log"
        remember var/npm.stamp package-lock.json
    fi
}

front_end_files() { find resources/js resources/css package-lock.json vite.config.ts tsconfig.json -type f 2>/dev/null | sort; }

need_build() {
    # shellcheck disable=SC2046
    if [ ! -f public/build/manifest.json ] || stale var/build.stamp $(front_end_files); then
        say "Building the front end"
        npm run --silent build >var/build.log 2>&1 || die "the front end did not build; see var/build.log"
        # shellcheck disable=SC2046
        remember var/build.stamp $(front_end_files)
    fi
}

# free_port WANTED: the wanted port of the loopback interface, or the next free one.
free_port() {
    local port=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do port=$((port + 1)); done
    printf '%s' "$port"
}

POSTGRES_SETTINGS="-c shared_buffers=512MB -c work_mem=64MB -c maintenance_work_mem=256MB -c max_wal_size=4GB \
-c max_locks_per_transaction=256 -c synchronous_commit=on -c random_page_cost=1.1 -c jit=off -c wal_level=minimal \
-c max_wal_senders=0 -c client_connection_check_interval=1s"

pg_bin() { printf '/usr/lib/postgresql/15/bin/%s' "$1"; }

# PostgreSQL refuses to run as root, so root lends its steps to the user that the Debian package made.
as_postgres() {
    if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

# start_postgres DIR WANTED_PORT: starts the server in DIR unless it runs; sets PGPORT and PGPASSWORD.
start_postgres() {
    local dir=$1 wanted=$2
    mkdir -p "$dir"
    if [ "$(id -u)" = 0 ]; then
        chown postgres "$dir"
        # The server's user must be able to reach its own directory.
        local up=$dir
        while [ "$up" != / ]; do up=$(dirname "$up"); [ "$(stat -c %a "$up" | tail -c 2)" -ge 1 ] 2>/dev/null || chmod o+x "$up"; done
    fi
    if [ ! -f "$dir/data/PG_VERSION" ]; then
        say "Creating the database cluster"
        (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$dir/password")
        [ "$(id -u)" = 0 ] && chown postgres "$dir/password"
        as_postgres "$(pg_bin initdb)" -D "$dir/data" -U greater_reach --auth=scram-sha-256 --pwfile="$dir/password" \
            --encoding=UTF8 --locale=C.UTF-8 >"$root/var/initdb.log" 2>&1 \
            || die "initdb failed; see var/initdb.log"
    fi
    PGPASSWORD=$(cat "$dir/password")
    export PGPASSWORD
    if as_postgres "$(pg_bin pg_ctl)" -D "$dir/data" status >/dev/null 2>&1; then
        PGPORT=$(sed -n 4p "$dir/data/postmaster.pid")
        return 0
    fi
    # A free port is only known to have been free once it is bound, so the next one is tried where another was quicker.
    local try
    PGPORT=$wanted
    for try in $(seq 1 20); do
        PGPORT=$(free_port "$PGPORT")
        : >"$dir/server.log"
        [ "$(id -u)" = 0 ] && chown postgres "$dir/server.log"
        as_postgres "$(pg_bin pg_ctl)" -D "$dir/data" -w -t 300 -l "$dir/server.log" \
            -o "-p $PGPORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $POSTGRES_SETTINGS" \
            start >/dev/null 2>&1 && return 0
        grep -q 'could not bind' "$dir/server.log" || break
        PGPORT=$((PGPORT + 1))
    done
    die "PostgreSQL did not start; see $dir/server.log"
}

stop_postgres() { as_postgres "$(pg_bin pg_ctl)" -D "$1/data" -m fast stop >/dev/null 2>&1 || true; }

# need_database NAME: makes the database unless it is there.
need_database() {
    psql -h 127.0.0.1 -p "$PGPORT" -U greater_reach -d postgres -qtAc "SELECT 1 FROM pg_database WHERE datname = '$1'" | grep -q 1 \
        || psql -h 127.0.0.1 -p "$PGPORT" -U greater_reach -d postgres -qc "CREATE DATABASE $1" || die "the database $1 could not be made"
}

# A part of the application is a process group of its own: its leader and when that began are written down, so that what a
# killed start has left behind is known from anything else that bears the same number.
began() { awk '{ print $22 }' "/proc/$1/stat" 2>/dev/null; }

keep_part() { printf '%s %s\n' "$1" "$(began "$1")" >>"$root/var/parts"; }

# signal_parts SIGNAL: true when any part that is written down was there to hear it.
signal_parts() {
    local pid since heard=1
    while read -r pid since; do
        # The leader may be gone while what it forked lives on; its number is not given away while its group lives.
        if { [ "$(began "$pid")" = "$since" ] || [ ! -d "/proc/$pid" ]; } && kill -"$1" -- "-$pid" 2>/dev/null; then heard=0; fi
    done <"$root/var/parts"
    return $heard
}

# end_parts: ends every part that is written down and still the same process, at first politely.
end_parts() {
    [ -f "$root/var/parts" ] || return 0
    local look
    signal_parts TERM || true
    for look in $(seq 1 50); do
        signal_parts 0 || break
        sleep .2
    done
    signal_parts KILL || true
    rm -f "$root/var/parts"
}

# serve NAME WANTED_PORT LOG COMMAND...: starts a web server as a part, on the wanted port of the loopback interface or the next
# one that it really gets; every PORT in the command is replaced. Sets SERVED_PORT and SERVED_PID.
serve() {
    local name=$1 port=$2 log=$3 try look
    shift 3
    for try in $(seq 1 20); do
        port=$(free_port "$port")
        setsid "${@//PORT/$port}" 9>&- >"$log" 2>&1 &
        SERVED_PID=$!
        for look in $(seq 1 600); do
            grep -q "started" "$log" && { SERVED_PORT=$port; keep_part "$SERVED_PID"; return 0; }
            kill -0 "$SERVED_PID" 2>/dev/null || break
            sleep .1
        done
        kill -KILL -- "-$SERVED_PID" 2>/dev/null || true
        port=$((port + 1))
    done
    die "$name did not start; see $log"
}

# start_stand_in WANTED_PORT: starts the simulated data provider on loopback; sets STAND_IN_URL and STAND_IN_KEY.
# Its market is made first, so that no answer has to wait for it.
start_stand_in() {
    STAND_IN_KEY=$(sed -n 's/^REACH_STAND_IN_KEY=//p' .env 2>/dev/null || true)
    [ -n "$STAND_IN_KEY" ] || STAND_IN_KEY=$(head -c 18 /dev/urandom | base64 | tr -d '/+=\n')
    export STAND_IN_FOLDER=$root/var/stand-in
    php $PHP_FAST stand-in/ready.php >var/stand-in.log 2>&1 || die "the market of the simulated provider was not made; see var/stand-in.log"
    STAND_IN_KEY=$STAND_IN_KEY PHP_CLI_SERVER_WORKERS=2 serve "the simulated provider" "$1" var/stand-in.log \
        php -d expose_php=0 -S 127.0.0.1:PORT stand-in/public/index.php
    STAND_IN_URL=http://127.0.0.1:$SERVED_PORT
    STAND_IN_PID=$SERVED_PID
}

# write_env FILE DATABASE WEB_PORT: settings for artisan in this checkout; keeps the application key it finds.
write_env() {
    local file=$1 database=$2 port=$3 key
    key=$(sed -n 's/^APP_KEY=//p' "$file" 2>/dev/null || true)
    [ -n "$key" ] || key="base64:$(head -c 32 /dev/urandom | base64)"
    (umask 077; cat >"$file" <<ENV
APP_NAME="Greater Reach"
APP_ENV=${REACH_ENV:-local}
APP_KEY=$key
APP_DEBUG=false
APP_URL=http://127.0.0.1:$port
REACH_HOSTS=${REACH_HOSTS:-}
DB_HOST=127.0.0.1
DB_PORT=$PGPORT
DB_DATABASE=$database
DB_USERNAME=greater_reach
DB_PASSWORD=$PGPASSWORD
${STAND_IN_URL:+REACH_STAND_IN_URL=$STAND_IN_URL
REACH_STAND_IN_KEY=$STAND_IN_KEY}
ENV
    )
}
