# The web server. Sourced after common.sh.
app_environment() {
    [[ -s var/app.key ]] || printf 'base64:%s\n' "$(head -c 32 /dev/urandom | base64)" >var/app.key
    export APP_KEY APP_NAME=Rundfunk APP_ENV=${APP_ENV:-local} APP_DEBUG=false LOG_CHANNEL=stack
    export SESSION_DRIVER=database CACHE_STORE=file QUEUE_CONNECTION=sync SESSION_COOKIE=rundfunk_session
    APP_KEY=$(cat var/app.key)
    # What another build kept of plans is not believed.
    RUNDFUNK_EDITION=$(php artisan edition)
    export RUNDFUNK_EDITION
}

WORKERS=4

# Nobody looks for circles among the thousands of things that a plan is put together from: each request gives back its memory
# whole. Nothing is compiled while it runs: docs/adr/0023 says why.
SERVER_PHP=(-d post_max_size=16M -d memory_limit=256M -d zend.enable_gc=0 -d opcache.enable_cli=1 -d opcache.jit=off -d opcache.jit_buffer_size=0 -d expose_php=0)

# start_server PORT LOG: sets SERVER_GROUP, the process group to end. Memory comes in huge pages where the system has them.
# What it is set to and which addresses it has is read once, from here: of its own, so that no other command believes it.
# Where there is no room for that on the disk it is read each time.
start_server() {
    local settings=$ROOT/${2%.log}.settings.php addresses=$ROOT/${2%.log}.addresses.php
    (umask 077 && APP_CONFIG_CACHE=$settings php artisan config:cache && APP_ROUTES_CACHE=$addresses php artisan route:cache) >/dev/null 2>>"$2" || rm -f "$settings" "$addresses"
    (cd public && APP_CONFIG_CACHE=$settings APP_ROUTES_CACHE=$addresses PHP_CLI_SERVER_WORKERS=$WORKERS USE_ZEND_ALLOC_HUGE_PAGES=1 exec setsid php "${SERVER_PHP[@]}" -S "127.0.0.1:$1" -t . \
        ../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php) </dev/null >>"$2" 2>&1 9>&- &
    SERVER_GROUP=$!
    SERVER_NOTE=${2%.log}.group
    echo "$SERVER_GROUP" >"$SERVER_NOTE"
    local try
    for ((try = 0; try < 100; try++)); do
        if php -r 'exit(@fsockopen("127.0.0.1", (int) $argv[1]) === false ? 1 : 0);' "$1"; then return 0; fi
        sleep 0.1
    done
    tail -n 20 "$2" >&2
    echo "✗ The web server did not start on port $1" >&2
    return 1
}

# Whether the server and each of its workers is there: it does not start one anew that died.
server_lives() { (($(pgrep -c -g "$SERVER_GROUP" || true) > WORKERS)); }

# A server that a killed ./run left behind, where it is of this folder.
end_left_over_server() {
    local group pid
    group=$(cat var/log/server.group 2>/dev/null) || return 0
    for pid in $(pgrep -g "${group:-0}" || true); do
        if [[ $(readlink "/proc/$pid/cwd") == "$ROOT/public" ]]; then
            say "Ending the web server that was left over"
            kill -TERM -- "-$group"
            while pgrep -g "$group" >/dev/null; do sleep 0.1; done
            return 0
        fi
    done
}

stop_server() {
    [[ -n ${SERVER_GROUP:-} ]] || return 0
    kill -TERM -- "-$SERVER_GROUP" 2>/dev/null || true
    wait "$SERVER_GROUP" 2>/dev/null || true
    SERVER_GROUP=
    rm -f "$SERVER_NOTE"
}
