# What ./run and ./test share. Sourced, not run.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
# What is kept here is nobody else's.
umask 077
mkdir -p var storage/framework/cache/data storage/framework/sessions storage/framework/views storage/logs bootstrap/cache

say() { printf '\033[1m▸ %s\033[0m\n' "$*"; }

# Runs a slow step with a line every ten seconds, its output kept in var/log; shows the end of it when it fails.
slow() {
    local name=$1 log started=$SECONDS job
    shift
    mkdir -p var/log
    log="var/log/${name// /-}.log"
    say "$name …"
    "$@" >"$log" 2>&1 &
    job=$!
    while kill -0 "$job" 2>/dev/null; do
        sleep 0.2
        if (( (SECONDS - started) > 0 && (SECONDS - started) % 10 == 0 )) && [[ ${last_tick:-} != "$SECONDS" ]]; then
            last_tick=$SECONDS
            printf '  %s: %d s\n' "$name" $((SECONDS - started))
        fi
    done
    if ! wait "$job"; then
        tail -n 40 "$log" >&2
        printf '✗ %s failed; all of its output is in %s\n' "$name" "$log" >&2
        return 1
    fi
    printf '  %s: done in %d s\n' "$name" $((SECONDS - started))
}

as_root() {
    if [[ $(id -u) == 0 ]]; then "$@"; else sudo "$@"; fi
}

# A port of the loopback that nothing listens on.
free_port() {
    php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'
}
