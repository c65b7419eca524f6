# Shared by bin/start, bin/test and bin/bench: installing what is missing, and a PostgreSQL server of our own on loopback.
# Sourced, not run. Expects $root (the checkout) and defines functions only.

say() { printf '%s\n' "$*"; }
die() { printf '%s: %s\n' "$(basename "$0")" "$*" >&2; exit 1; }

. "$(dirname "${BASH_SOURCE[0]}")/versions.sh"

PHP_PACKAGES=$(printf "php$PHP_VERSION-%s " cli pgsql curl zip gd bcmath mbstring intl xml)
SERVER_PACKAGES="postgresql-$POSTGRES_VERSION composer unzip"
# Compiled once and kept compiled: for work that takes longer than a moment.
export PHP_FAST="-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M"
BROWSER_PACKAGES="chromium chromium-driver"

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

have_package() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q 'install ok installed'; }

# need_packages NAME...: installs the Debian packages that are missing, all in one go.
need_packages() {
    mkdir -p "$root/var"
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
    as_root env RUNLEVEL=1 DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing \
        >"$root/var/apt.log" 2>&1 \
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

# need_node: one that is new enough to build; where Debian's is older, one of our own goes before it.
need_node() {
    newer_node() { [ "$(printf '%s\n' "$NODE_NEEDED" "$(node --version 2>/dev/null | tr -d v)" | sort -V | head -1)" = "$NODE_NEEDED" ]; }
    newer_node && return 0
    local kind
    case "$(uname -m)" in x86_64) kind=x64 ;; aarch64) kind=arm64 ;; *) die "Node $NODE_NEEDED or newer is needed to build." ;; esac
    export PATH="$root/var/node/node_modules/node-linux-$kind/bin:$PATH"
    newer_node && return 0
    say "Installing Node $NODE_VERSION"
    npm install --prefix var/node --no-save --no-audit --no-fund "node-linux-$kind@$NODE_VERSION" >var/node.log 2>&1 \
        || die "Node could not be installed; see var/node.log"
    # Another Node may want other parts of the libraries.
    rm -f var/npm.stamp
    newer_node || die "Node $NODE_VERSION does not run here; see var/node.log"
}

need_npm() {
    need_node
    if [ ! -d node_modules ] || stale var/npm.stamp package-lock.json; then
        say "Installing front-end libraries"
        npm ci --no-audit --no-fund >var/npm.log 2>&1 || die "npm ci failed; see var/npm.log"
        remember var/npm.stamp package-lock.json
    fi
    if [ ! -f resources/js/api/schema.ts ] || stale var/contract.stamp resources/api/openapi.json package-lock.json; then
        npm run --silent contract || die "the types of the API could not be made; see var/contract.log"
        remember var/contract.stamp resources/api/openapi.json package-lock.json
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
-c max_locks_per_transaction=256 -c synchronous_commit=on -c random_page_cost=1.1 -c jit=off -c wal_level=replica \
-c max_wal_senders=4 -c client_connection_check_interval=1s"

pg_bin() { printf '/usr/lib/postgresql/%s/bin/%s' "$POSTGRES_VERSION" "$1"; }

# PostgreSQL refuses to run as root, so root lends its steps to the user that the Debian package made.
as_postgres() {
    if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

# start_postgres DIR WANTED_PORT [SETTING...]: starts the server in DIR unless it runs; sets PGPORT and PGPASSWORD.
start_postgres() {
    local dir=$1 wanted=$2
    shift 2
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
            -o "-p $PGPORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $POSTGRES_SETTINGS $*" \
            start >/dev/null 2>&1 && return 0
        grep -q 'could not bind' "$dir/server.log" || break
        PGPORT=$((PGPORT + 1))
    done
    die "PostgreSQL did not start; see $dir/server.log"
}

stop_postgres() { as_postgres "$(pg_bin pg_ctl)" -D "$1/data" -m fast stop >/dev/null 2>&1 || true; }

DB_ROLE=reach_app

# need_database DIR NAME: makes the database of the server in DIR unless it is there, and the role that owns it and is no superuser.
# What an earlier version made as the superuser is handed over. Sets DB_PASSWORD.
need_database() {
    local dir=$1 name=$2
    [ -f "$dir/role-password" ] || (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$dir/role-password")
    DB_PASSWORD=$(cat "$dir/role-password")
    as_superuser postgres <<SQL || die "the role of the application could not be made"
DO \$\$ BEGIN
    IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '$DB_ROLE') THEN
        CREATE ROLE $DB_ROLE LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION;
    END IF;
END \$\$;
ALTER ROLE $DB_ROLE PASSWORD '$DB_PASSWORD';
SQL
    as_superuser postgres -tA <<<"SELECT 1 FROM pg_database WHERE datname = '$name'" | grep -q 1 \
        || as_superuser postgres <<<"CREATE DATABASE $name OWNER $DB_ROLE" || die "the database $name could not be made"
    as_superuser "$name" <bin/hand-over.sql || die "the database $name could not be handed over to its role"
}

# as_superuser DATABASE [OPTION...]: runs what comes in as SQL.
as_superuser() {
    local database=$1
    shift
    PGPASSWORD=$PGPASSWORD psql -h 127.0.0.1 -p "$PGPORT" -U greater_reach -d "$database" -qv ON_ERROR_STOP=1 -v role="$DB_ROLE" "$@"
}

# The folder of the servers of this start. A part of the application bears it as a mark in its environment, which all that it starts
# inherits, so that what a killed start has left behind is known from anything else.
export WEB_FOLDER=${WEB_FOLDER:-$root/var/server}
PART=0

# marked MARK [PROGRAM...]: the processes that bear it, and those of the programs that run in that folder: nginx and php-fpm write
# their titles over their environment.
marked() {
    local mark=$1 at pid
    shift
    for at in /proc/[0-9]*; do
        pid=${at#/proc/}
        if grep -qaF "REACH_PART=$mark" "$at/environ" 2>/dev/null; then
            printf '%s\n' "$pid"
        elif [ $# -gt 0 ] && [ "$(readlink "$at/cwd" 2>/dev/null)" = "$WEB_FOLDER" ]; then
            case " $* " in *" $(readlink "$at/exe" 2>/dev/null) "*) printf '%s\n' "$pid" ;; esac
        fi
    done
}

NGINX=/usr/sbin/nginx
FPM=/usr/sbin/php-fpm$PHP_VERSION

# keep_running NAME LOG COMMAND...: a part that is started again whenever it ends, and says so where it did not end by itself.
# Sets KEPT, the mark of the part.
keep_running() {
    local name=$1 log=$2
    shift 2
    PART=$((PART + 1))
    KEPT="$WEB_FOLDER#$PART#"
    # shellcheck disable=SC2016
    REACH_PART=$KEPT setsid bash -c '
        root=$PWD
        . bin/lib.sh
        name=$1 log=$2
        shift 2
        case "$1" in "$NGINX" | "$FPM") titled=$1 folder=$WEB_FOLDER ;; *) titled= folder=$root ;; esac
        while true; do
            began=$SECONDS code=0
            (cd "$folder" && exec "$@") >>"$log" 2>&1 || code=$?
            # What it forked and left behind would stand in the way of its successor.
            for left in $(marked "$REACH_PART" $titled); do [ "$left" = "$$" ] || kill -KILL "$left" 2>/dev/null; done
            [ "$code" = 0 ] || printf "%s ended (%s) and is started again; see %s.\n" "$name" "$code" "$log"
            [ $((SECONDS - began)) -ge 5 ] || sleep 2
        done' kept "$name" "$log" "$@" 9>&- &
}

# end_part MARK: at once.
end_part() { marked "$@" | xargs -r kill -KILL 2>/dev/null || true; }

# end_parts: ends every part of this checkout, at first politely.
end_parts() {
    local look
    for look in $(seq 1 50); do
        [ -n "$(marked "$WEB_FOLDER#" "$NGINX" "$FPM")" ] || return 0
        [ "$look" != 1 ] || marked "$WEB_FOLDER#" "$NGINX" "$FPM" | xargs -r kill -TERM 2>/dev/null || true
        sleep .2
    done
    end_part "$WEB_FOLDER#" "$NGINX" "$FPM"
}

# serve NAME WANTED_PORT LOG COMMAND...: a small web server as a part that is kept running, on the wanted port of the loopback
# interface or the next one that it really gets; every PORT in the command is replaced. Sets SERVED_PORT.
serve() {
    local name=$1 port=$2 log=$3 try look
    shift 3
    for try in $(seq 1 20); do
        port=$(free_port "$port")
        : >"$log"
        keep_running "$name" "$log" "${@//PORT/$port}"
        for look in $(seq 1 600); do
            grep -q "started" "$log" && { SERVED_PORT=$port; return 0; }
            grep -qi "address already in use" "$log" && break
            sleep .1
        done
        end_part "$KEPT"
        port=$((port + 1))
    done
    die "$name did not start; see $log"
}

# watch_postgres DIR PORT: waits until the server in DIR is gone, starts it again on its port, and ends with 1, so that it is told.
watch_postgres() {
    while as_postgres "$(pg_bin pg_ctl)" -D "$1/data" status >/dev/null 2>&1; do sleep 2; done
    tail -n 3 "$1/server.log"
    # The server outlives this part.
    unset REACH_PART
    start_postgres "$1" "$2"
    return 1
}

# start_stand_in WANTED_PORT: starts the simulated data provider on loopback; sets STAND_IN_URL and STAND_IN_KEY.
# Its market is made first, so that no answer has to wait for it.
start_stand_in() {
    STAND_IN_KEY=$(sed -n 's/^REACH_STAND_IN_KEY=//p' .env 2>/dev/null || true)
    [ -n "$STAND_IN_KEY" ] || STAND_IN_KEY=$(head -c 18 /dev/urandom | base64 | tr -d '/+=\n')
    export STAND_IN_FOLDER=$root/var/stand-in
    php $PHP_FAST stand-in/ready.php >var/stand-in.log 2>&1 || die "the market of the simulated provider was not made; see var/stand-in.log"
    export STAND_IN_KEY PHP_CLI_SERVER_WORKERS=2
    serve "the simulated provider" "$1" var/stand-in.log \
        php -d expose_php=0 -S 127.0.0.1:PORT stand-in/public/index.php
    unset PHP_CLI_SERVER_WORKERS
    STAND_IN_URL=http://127.0.0.1:$SERVED_PORT
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
DB_USERNAME=$DB_ROLE
DB_PASSWORD=$DB_PASSWORD
${STAND_IN_URL:+REACH_STAND_IN_URL=$STAND_IN_URL
REACH_STAND_IN_KEY=$STAND_IN_KEY}
ENV
    )
}
