# The servers of docs/operations.md on the loopback, for whoever tries or torments them. Sourced after scripts/*.sh.
#   start_stage; start_way fpm|household; …; stop_way; finish_stage      sets STAGE, BASE, PORT

# block FILE: what operations.md says is in it
block() {
    awk -v file="file=$1" '/^```/ { if (on) exit; if (index($0, file) && substr($0, index($0, file) + length(file)) == "") { on = 1; next } } on' docs/operations.md
}

start_stage() {
    command -v nginx >/dev/null && command -v php-fpm8.2 >/dev/null || slow "Debian packages" apt_install nginx-light php8.2-fpm
    STAGE=$(mktemp -d "${TMPDIR:-/tmp}/rundfunk-stage.XXXXXX")
    chmod 755 "$STAGE"
    install_packages run
    install_php
    install_node
    build_front_end
    app_environment
    start_database test
    db_sql -e 'DROP DATABASE IF EXISTS rundfunk_stage'
    make_database rundfunk_stage
    # The project as it would lie in /srv/rundfunk: what is written lies apart, the rest is this.
    mkdir -p "$STAGE/app/var" "$STAGE/app/bootstrap/cache"
    for part in app compat core database public resources routes vendor artisan composer.json; do ln -s "$ROOT/$part" "$STAGE/app/$part"; done
    cp bootstrap/app.php "$STAGE/app/bootstrap/"
    rm "$STAGE/app/public" "$STAGE/app/artisan"
    cp -r public "$STAGE/app/public"
    cp artisan "$STAGE/app/artisan"
    mkdir -p "$STAGE/app/storage/framework/cache/data" "$STAGE/app/storage/framework/views" "$STAGE/app/storage/logs"
    PORT=$(free_port)
    BASE=https://plans.example:$PORT
    block /srv/rundfunk/.env | sed -e "s|^APP_KEY=.*|APP_KEY=$APP_KEY|; s|^APP_URL=.*|APP_URL=$BASE|" \
        -e "s|^DB_PORT=.*|DB_PORT=$DB_PORT|; s|^DB_DATABASE=.*|DB_DATABASE=rundfunk_stage|; s|^DB_PASSWORD=.*|DB_PASSWORD=\"$DB_PASSWORD\"|" >"$STAGE/app/.env"
    chmod 600 "$STAGE/app/.env"
    # From here on it knows what stands in its file, as a server of its own would.
    unset APP_KEY APP_NAME APP_ENV APP_DEBUG LOG_CHANNEL SESSION_DRIVER CACHE_STORE QUEUE_CONNECTION SESSION_COOKIE RUNDFUNK_EDITION
    local held=$DB_PORT
    unset DB_PORT DB_PASSWORD DB_CONNECTION DB_HOST DB_USERNAME DB_DATABASE
    (cd "$STAGE/app" && php artisan upgrade "$STAGE/app/var/copies" && php artisan db:seed --force) >/dev/null
    STAGE_DB_PORT=$held
    openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=plans.example -keyout "$STAGE/key.pem" -out "$STAGE/cert.pem" 2>/dev/null
    cat >"$STAGE/nginx.conf" <<CONF
user $(id -un);
pid $STAGE/nginx.pid;
error_log $STAGE/nginx-error.log;
daemon off;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    access_log off;
    client_body_temp_path $STAGE/body;
    fastcgi_temp_path $STAGE/fastcgi;
    proxy_temp_path $STAGE/proxy;
    uwsgi_temp_path $STAGE/uwsgi;
    scgi_temp_path $STAGE/scgi;
    include $STAGE/site.conf;
}
CONF
}

# Debian's fastcgi_params drops the port of the name that was asked for, which nobody misses on 443.
here() {
    sed -e "s|/srv/rundfunk|$STAGE/app|g; s|/run/php/rundfunk|$STAGE/fpm|g; s|/etc/ssl/certs/plans.example.pem|$STAGE/cert.pem|; s|/etc/ssl/private/plans.example.key|$STAGE/key.pem|" \
        -e "s|listen 443 |listen 127.0.0.1:$PORT |; s|listen 80;|listen 127.0.0.1:$PLAIN;|; s|127.0.0.1:8000|127.0.0.1:$BACKEND|; s|Host \$host;|Host \$host:$PORT;|; s|fastcgi_param HTTPS on;|fastcgi_param HTTPS on; fastcgi_param HTTP_HOST \$host:$PORT;|"
}

start_way() {
    PLAIN=$(free_port)
    BACKEND=$(free_port)
    if [[ $1 == fpm ]]; then
        block /etc/php/8.2/fpm/pool.d/rundfunk.conf | here | sed -e "s/^user = .*/user = $(id -un)/; s/^group = .*/group = $(id -gn)/; s/= www-data/= $(id -un)/" >"$STAGE/pool.conf"
        printf '[global]\nerror_log = %s\ndaemonize = no\ninclude = %s\n' "$STAGE/fpm-error.log" "$STAGE/pool.conf" >"$STAGE/fpm.conf"
        mkdir -p "$STAGE/conf.d"
        block /etc/php/8.2/fpm/conf.d/99-rundfunk.ini >"$STAGE/conf.d/99-rundfunk.ini"
        PHP_INI_SCAN_DIR=":$STAGE/conf.d" setsid php-fpm8.2 --allow-to-run-as-root --fpm-config "$STAGE/fpm.conf" >/dev/null 2>&1 &
        FPM=$!
        block /etc/nginx/sites-available/rundfunk | here >"$STAGE/site.conf"
    else
        (cd "$STAGE/app/public" && TRUSTED_PROXIES=127.0.0.1 PHP_CLI_SERVER_WORKERS=4 exec setsid php -d post_max_size=16M -d opcache.enable_cli=1 -S "127.0.0.1:$BACKEND" -t . \
            "$ROOT/vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php") >/dev/null 2>&1 &
        FPM=$!
        block /etc/nginx/sites-available/rundfunk-household | here >"$STAGE/site.conf"
    fi
    setsid nginx -c "$STAGE/nginx.conf" -p "$STAGE" >"$STAGE/nginx.log" 2>&1 &
    NGINX=$!
    local try
    for ((try = 0; try < 100; try++)); do
        [[ $(ask -o /dev/null -w '%{http_code}' "$BASE/api/session") != 200 ]] || return 0
        sleep 0.1
    done
    cat "$STAGE/nginx.log" "$STAGE/nginx-error.log" "$STAGE/fpm-error.log" >&2
    echo "✗ It did not come up" >&2
    return 1
}

# A request as a browser on the other side of TLS makes it: from another address than the proxy's own, whose word is believed.
ask() { curl -sk --interface 127.0.0.2 --max-time 30 --resolve "plans.example:$PORT:127.0.0.1" "$@"; }

stop_way() {
    local group
    for group in ${NGINX:-} ${FPM:-}; do
        kill -TERM -- "-$group" 2>/dev/null || true
        wait "$group" 2>/dev/null || true
    done
    NGINX=
    FPM=
}

finish_stage() {
    stop_way
    db_sql -e 'DROP DATABASE IF EXISTS rundfunk_stage' 2>/dev/null || true
    stop_database test
    rm -rf "${STAGE:?}"
}
