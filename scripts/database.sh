# A private MariaDB on the loopback. Sourced after common.sh.
#   start_database NAME   its files in var/db-NAME; sets DB_PORT and PRIVATE_SOCKET
#   stop_database NAME

db_socket() {
    # A socket's path must be short, and a clone may lie deep.
    printf '%s/rundfunk-%s-%s.sock' "${TMPDIR:-/tmp}" "$1" "$(printf '%s' "$ROOT" | sha256sum | cut -c1-10)"
}

db_answers() {
    mariadb-admin --no-defaults --socket="$PRIVATE_SOCKET" --user=root ping >/dev/null 2>&1 ||
        mariadb-admin --no-defaults --socket="$PRIVATE_SOCKET" ping >/dev/null 2>&1
}

db_sql() { mariadb --no-defaults --socket="$PRIVATE_SOCKET" --batch --skip-column-names "$@"; }

# A password that nobody knows, in a file that only its owner reads. A database from before that gets it at its next start.
db_password() {
    local file=$1/password
    [[ -s $file ]] || head -c 24 /dev/urandom | base64 | tr '+/' '-_' >"$file"
    chmod 600 "$file"
    cat "$file"
}

database_lives() { [[ -e $ROOT/var/db-$1/pid ]] && kill -0 "$(cat "$ROOT/var/db-$1/pid")" 2>/dev/null; }

# The port that it had, so that whoever uses the database finds it again; another where that is taken meanwhile.
db_port() {
    local had
    had=$(cat "$1/port" 2>/dev/null) || had=
    if [[ -n $had ]] && php -r 'exit(@stream_socket_server("tcp://127.0.0.1:$argv[1]") === false ? 1 : 0);' "$had"; then
        echo "$had"
    else
        free_port
    fi
}

# The server, when its process is there and answers; otherwise it is started. What it said was kept is on the disk, whatever
# dies; the tests' own does without, and waits for no disk.
start_database() {
    local name=$1 folder="$ROOT/var/db-$1" me safety=(--innodb-flush-log-at-trx-commit=1)
    [[ $name != test ]] || safety=(--innodb-flush-log-at-trx-commit=2 --innodb-flush-method=nosync --skip-innodb-doublewrite)
    me=$(id -un)
    export PRIVATE_SOCKET
    PRIVATE_SOCKET=$(db_socket "$name")
    if database_lives "$name" && db_answers; then
        DB_PORT=$(cat "$folder/port")
    else
        say "Database"
        mkdir -p "$folder"
        if [[ ! -d $folder/data/mysql ]]; then
            rm -rf "$folder/data"
            mariadb-install-db --no-defaults --user="$me" --datadir="$folder/data" \
                --auth-root-authentication-method=socket --auth-root-socket-user="$me" --skip-test-db >"$folder/install.log" 2>&1 ||
                { cat "$folder/install.log" >&2; return 1; }
        fi
        # Of its own: a server that starts clears away what it finds there, of others too.
        mkdir -p "$folder/tmp"
        chmod -R go= "$folder"
        DB_PORT=$(db_port "$folder")
        echo "$DB_PORT" >"$folder/port"
        UMASK=0600 UMASK_DIR=0700 setsid nohup mariadbd --no-defaults --user="$me" --datadir="$folder/data" --socket="$PRIVATE_SOCKET" --pid-file="$folder/pid" --tmpdir="$folder/tmp" \
            --bind-address=127.0.0.1 --port="$DB_PORT" --skip-name-resolve --skip-log-bin --character-set-server=utf8mb4 \
            --innodb-buffer-pool-size=256M "${safety[@]}" --log-error="$folder/error.log" </dev/null >/dev/null 2>&1 9>&- &
        local server=$! try
        # Should it die, the shell says nothing of it: whoever watches does.
        disown
        for ((try = 0; try < 300; try++)); do
            db_answers && break
            kill -0 "$server" 2>/dev/null || { tail -n 30 "$folder/error.log" >&2; echo "✗ MariaDB did not start" >&2; return 1; }
            sleep 0.1
        done
        db_answers || { echo "✗ MariaDB did not answer within 30 s" >&2; return 1; }
    fi
    DB_PASSWORD=$(db_password "$folder")
    export DB_PASSWORD DB_PORT DB_CONNECTION=mariadb DB_HOST=127.0.0.1 DB_USERNAME=rundfunk
    # By the standard input: what stands on a command line is seen by everybody who lists processes.
    db_sql <<<"CREATE USER IF NOT EXISTS rundfunk@'127.0.0.1'; ALTER USER rundfunk@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD'; GRANT ALL ON \`rundfunk%\`.* TO rundfunk@'127.0.0.1';"
}

make_database() { db_sql -e "CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4;"; }

stop_database() {
    local folder="$ROOT/var/db-$1" pid
    pid=$(cat "$folder/pid" 2>/dev/null) || return 0
    PRIVATE_SOCKET=$(db_socket "$1")
    mariadb-admin --no-defaults --socket="$PRIVATE_SOCKET" shutdown >/dev/null 2>&1 || true
    while kill -0 "$pid" 2>/dev/null; do sleep 0.1; done
}
