# The web server of a checkout: nginx before php-fpm, both of Debian, in a folder of their own. Sourced, not run.
# Expects $root and bin/lib.sh, and defines functions only.

WEB_PACKAGES="nginx-light php$PHP_VERSION-fpm"

# Unix sockets have short names only, so those of a checkout far down lie in a folder that nobody else may enter.
web_socket() {
    if [ ${#WEB_FOLDER} -le 90 ]; then printf '%s/php.sock' "$WEB_FOLDER"; return; fi
    local folder
    folder="${TMPDIR:-/tmp}/greater-reach-$(printf '%s' "$WEB_FOLDER" | sha256sum | cut -c1-12)"
    (umask 077; mkdir -p "$folder")
    [ "$(stat -c %u "$folder")" = "$(id -u)" ] || die "$folder belongs to somebody else; remove it first."
    printf '%s/php.sock' "$folder"
}

# settings_of_http: what every site of ours asks of nginx as a whole.
settings_of_http() {
    cat <<CONF
server_tokens off;
keepalive_timeout 75s;
client_header_timeout 20s;
client_body_timeout 60s;
large_client_header_buffers 4 32k;
gzip on;
gzip_comp_level 5;
gzip_min_length 1024;
gzip_types application/json application/problem+json text/css text/csv text/javascript application/javascript image/svg+xml
    text/calendar;
CONF
}

# site AT: what is served under which address; nothing large is read but where a file may come, and from nobody who has not signed in.
# AT is the folder of the files that pass requests on to php-fpm.
site() {
    local at=$1
    cat <<CONF
client_max_body_size 2m;
location / { try_files \$uri @application; add_header X-Content-Type-Options nosniff; add_header Cache-Control "no-cache"; }
error_page 413 @too-large;
error_page 502 504 =503 @starting;
location @too-large {
    default_type application/problem+json;
    return 413 '{"type":"about:blank","title":"Too large","status":413,"code":"too_large",
        "detail":"This is larger than may be sent here."}';
}
location @starting {
    default_type application/problem+json;
    add_header Retry-After 5 always;
    return 503 '{"type":"about:blank","title":"Stopped","status":503,"code":"stopped",
        "detail":"The server is being started again. Try once more in a moment."}';
}
location @application { include $at/application.conf; }
# Their names change with what they hold.
location /build/ {
    try_files \$uri =404;
    add_header X-Content-Type-Options nosniff;
    add_header Cache-Control "public, max-age=31536000, immutable";
}
location ~ /\. { return 404; }
location ~ \.php\$ { return 404; }
# Who may send a large file is asked before a byte of it is read.
location ~ ^/api/v1/studies/[^/]+/uploads\$ {
    auth_request /signed-in;
    error_page 401 = /signed-in;
    error_page 413 @too-large;
    error_page 502 504 =503 @starting;
    client_max_body_size 2100m;
    include $at/application.conf;
}
# A table as it stands on a screen, and long texts that are pasted.
location ~ ^/api/v1/studies/[^/]+/(exports/table\.|keywords\$|terms\$) { client_max_body_size 32m; include $at/application.conf; }
location = /signed-in {
    internal;
    # It reads nothing; the size was looked at where it is sent to.
    client_max_body_size 0;
    include $at/php.conf;
    fastcgi_param REQUEST_URI /api/v1/signed-in;
    fastcgi_param REQUEST_METHOD GET;
    fastcgi_param CONTENT_LENGTH "";
    fastcgi_param CONTENT_TYPE "";
    fastcgi_pass_request_body off;
}
CONF
}

# pass_on AT SOCKET [ISSECURE]: how a request goes on to php-fpm.
pass_on() {
    local at=$1 socket=$2 secure=${3:-}
    cat >"$at/application.conf" <<CONF
include $at/php.conf;
fastcgi_param REQUEST_URI \$request_uri;
fastcgi_param REQUEST_METHOD \$request_method;
fastcgi_param CONTENT_LENGTH \$content_length;
fastcgi_param CONTENT_TYPE \$content_type;
CONF
    cat >"$at/php.conf" <<CONF
fastcgi_pass unix:$socket;
fastcgi_read_timeout 300s;
fastcgi_param SCRIPT_FILENAME $root/public/index.php;
fastcgi_param SCRIPT_NAME /index.php;
fastcgi_param DOCUMENT_ROOT $root/public;
fastcgi_param QUERY_STRING \$query_string;
fastcgi_param SERVER_PROTOCOL \$server_protocol;
fastcgi_param GATEWAY_INTERFACE CGI/1.1;
fastcgi_param REMOTE_ADDR \$remote_addr;
fastcgi_param REMOTE_PORT \$remote_port;
fastcgi_param SERVER_ADDR \$server_addr;
fastcgi_param SERVER_PORT \$server_port;
fastcgi_param SERVER_NAME \$host;
# A header named Proxy is no setting of ours.
fastcgi_param HTTP_PROXY "";
${secure:+fastcgi_param HTTPS on;}
fastcgi_buffers 16 32k;
fastcgi_buffer_size 32k;
# A large answer is sent while it is written.
fastcgi_max_temp_file_size 0;
CONF
}

# write_nginx PORT: the site on loopback.
write_nginx() {
    local port=$1 at=$WEB_FOLDER user=
    [ "$(id -u)" = 0 ] && user="user root;"
    settings_of_http >"$at/http.conf"
    site "$at" >"$at/site.conf"
    pass_on "$at" "$(web_socket)"
    cat >"$at/nginx.conf" <<CONF
$user
worker_processes auto;
daemon off;
pid $at/nginx.pid;
error_log $WEB_FOLDER/nginx.log warn;
events { worker_connections 2048; }
http {
    include /etc/nginx/mime.types;
    default_type application/octet-stream;
    access_log off;
    sendfile on;
    tcp_nopush on;
    client_body_temp_path $at/body;
    fastcgi_temp_path $at/answers;
    proxy_temp_path $at/proxy;
    uwsgi_temp_path $at/uwsgi;
    scgi_temp_path $at/scgi;
    include $at/http.conf;
    server {
        listen ${WEB_ADDRESS:-127.0.0.1}:$port backlog=1024;
        root $root/public;
        include $at/site.conf;
    }
}
CONF
}

write_fpm() {
    # More at once would only share the processors; what waits and is left by its asker is never begun.
    local at=$WEB_FOLDER children=$(($(nproc) * 2 + 4))
    cat >"$at/php-fpm.conf" <<CONF
[global]
daemonize = no
error_log = $WEB_FOLDER/php-fpm.log
emergency_restart_threshold = 5
emergency_restart_interval = 30s
process_control_timeout = 10s
[web]
listen = $(web_socket)
listen.mode = 0600
listen.backlog = 1024
$([ "$(id -u)" = 0 ] && printf 'user = root\ngroup = root')
pm = dynamic
pm.max_children = $children
pm.start_servers = 4
pm.min_spare_servers = 4
pm.max_spare_servers = $children
pm.max_requests = 5000
request_terminate_timeout = 300s
catch_workers_output = yes
env[PATH] = /usr/local/bin:/usr/bin:/bin
env[APP_CONFIG_CACHE] = $at/config.php
env[APP_ROUTES_CACHE] = $at/routes.php
php_admin_value[memory_limit] = 512M
php_admin_value[upload_max_filesize] = 2G
php_admin_value[post_max_size] = 2100M
php_admin_value[max_input_vars] = 5000
php_admin_value[error_log] = $WEB_FOLDER/php-fpm.log
php_admin_flag[expose_php] = off
php_admin_flag[display_errors] = off
CONF
}

# Settings and routes are read once, for the web server alone: commands and tests read them anew.
cache_settings() {
    DB_PERSISTENT=1 APP_CONFIG_CACHE=$WEB_FOLDER/config.php php artisan config:cache --quiet \
        && APP_ROUTES_CACHE=$WEB_FOLDER/routes.php php artisan route:cache --quiet \
        || die "the settings could not be read; see storage/logs"
}

# start_nginx WANTED_PORT: on that port of the loopback interface, or the next one that it really gets. Sets SERVED_PORT.
start_nginx() {
    local port=$1 try look
    (umask 077; mkdir -p "$WEB_FOLDER")
    for try in $(seq 1 20); do
        port=$(free_port "$port")
        rm -f "$WEB_FOLDER/nginx.pid"
        : >"$WEB_FOLDER/nginx.log"
        write_nginx "$port"
        keep_running nginx "$WEB_FOLDER/nginx.log" "$NGINX" -p "$WEB_FOLDER" -e "$WEB_FOLDER/nginx.log" -c "$WEB_FOLDER/nginx.conf"
        for look in $(seq 1 100); do
            [ -s "$WEB_FOLDER/nginx.pid" ] && { SERVED_PORT=$port; return 0; }
            grep -q 'failed (98' "$WEB_FOLDER/nginx.log" && break
            sleep .1
        done
        end_part "$KEPT" "$NGINX"
        grep -q 'failed (98' "$WEB_FOLDER/nginx.log" || die "nginx did not start; see $WEB_FOLDER/nginx.log"
        port=$((port + 1))
    done
    die "nginx found no free port; see $WEB_FOLDER/nginx.log"
}

start_fpm() {
    local look socket
    write_fpm
    socket=$(web_socket)
    rm -f "$socket"
    keep_running php-fpm "$WEB_FOLDER/php-fpm.log" "$FPM" $([ "$(id -u)" = 0 ] && printf -- --allow-to-run-as-root) --nodaemonize \
        -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=20000 -d opcache.interned_strings_buffer=16 \
        -d opcache.revalidate_freq=2 -d realpath_cache_size=4096K -c "/etc/php/$PHP_VERSION/fpm/php.ini" -y "$WEB_FOLDER/php-fpm.conf"
    for look in $(seq 1 100); do
        [ -S "$socket" ] && return 0
        sleep .1
    done
    die "php-fpm did not start; see $WEB_FOLDER/php-fpm.log"
}
