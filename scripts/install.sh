# Installs what is missing: Debian packages, Composer's and npm's. Sourced after common.sh. Quick when nothing is missing.
export COMPOSER_ALLOW_SUPERUSER=1

# php: what PHP runs with · run: that, and the database · core: that, and what the core's tests are checked against · all: everything
needs_packages() {
    local missing=() modules
    # All of it first: a list that is cut off at what was looked for looks like a failure.
    modules=$(php -m)
    grep -qx pdo_mysql <<<"$modules" || missing+=(php8.2-mysql)
    grep -qx mbstring <<<"$modules" || missing+=(php8.2-mbstring)
    grep -qx intl <<<"$modules" || missing+=(php8.2-intl)
    grep -qx xml <<<"$modules" || missing+=(php8.2-xml)
    grep -qx curl <<<"$modules" || missing+=(php8.2-curl)
    grep -qx zip <<<"$modules" || missing+=(php8.2-zip)
    grep -qx igbinary <<<"$modules" || missing+=(php-igbinary)
    [[ $1 == php ]] || command -v pgrep >/dev/null || missing+=(procps)
    [[ -e /usr/sbin/mariadbd ]] || [[ $1 == php || $1 == core ]] || missing+=(mariadb-server)
    [[ -e /usr/bin/chromium-headless-shell ]] || [[ $1 != all ]] || missing+=(chromium-headless-shell)
    if [[ $1 == all || $1 == core ]]; then
        command -v gcc >/dev/null || missing+=(gcc libc6-dev)
        command -v avr-gcc >/dev/null || missing+=(gcc-avr avr-libc)
        [[ -d /usr/lib/avr/include ]] || missing+=(avr-libc)
        command -v simavr >/dev/null || missing+=(simavr)
        command -v ir-ctl >/dev/null || missing+=(v4l-utils)
        [[ -d /lib/udev/rc_keymaps ]] || missing+=(ir-keytable)
        command -v ngspice >/dev/null || missing+=(ngspice)
        command -v gammu >/dev/null || missing+=(gammu)
        command -v minizinc >/dev/null || missing+=(minizinc)
        command -v fzn-gecode >/dev/null || missing+=(flatzinc)
        command -v units >/dev/null || missing+=(units)
        [[ -x /usr/bin/python3 ]] || missing+=(python3)
        /usr/bin/python3 -c 'import crccheck' 2>/dev/null || missing+=(python3-crccheck)
        /usr/bin/python3 -c 'import canmatrix' >/dev/null 2>&1 || missing+=(python3-canmatrix)
        command -v log2asc >/dev/null || missing+=(can-utils)
        command -v tshark >/dev/null || missing+=(tshark)
    fi
    printf '%s\n' "${missing[@]}"
}

apt_install() {
    as_root apt-get update -qq
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends -o DPkg::Lock::Timeout=300 "$@"
}

install_packages() {
    local missing
    mapfile -t missing < <(needs_packages "$1" | sed '/^$/d')
    if ((${#missing[@]})); then
        slow "Debian packages" apt_install "${missing[@]}"
    fi
}

composer_install() {
    local with=() pin
    while read -r pin; do with+=(--with "$pin"); done <composer.pins
    composer update --no-interaction --no-progress --no-audit "${with[@]}"
}

# A stamp holds the sum of what was asked for; while it agrees there is nothing to do.
stale() {
    local stamp=$1
    shift
    [[ $(cat "$@" | sha256sum) != "$(cat "$stamp" 2>/dev/null)" ]]
}

install_php() {
    if [[ ! -e vendor/autoload.php ]] || stale vendor/.stamp composer.json composer.pins; then
        slow "PHP libraries" composer_install
        cat composer.json composer.pins | sha256sum >vendor/.stamp
    fi
}

install_node() {
    if stale node_modules/.stamp package.json package-lock.json; then
        slow "Front-end libraries" npm ci --no-audit --no-fund
        cat package.json package-lock.json | sha256sum >node_modules/.stamp
    fi
}

# What the application runs on. The front end's libraries come while Debian's packages do, for neither needs the other.
install_what_runs() {
    local node
    install_node &
    node=$!
    install_packages run
    install_php
    wait "$node"
}

# The front end's types, drawn from the description of the interface: made here, so that they cannot disagree with it.
make_types() {
    local types=resources/js/lib/api-types.ts
    if [[ ! -e $types || docs/openapi.json -nt $types ]]; then
        slow "Types of the interface" npm run --silent types
    fi
}

front_end_sources() {
    find resources vite.config.ts svelte.config.js package-lock.json -type f -print0 | sort -z | xargs -0 cat
}

build_front_end() {
    local sum
    make_types
    sum=$(front_end_sources | sha256sum)
    if [[ $sum != "$(cat public/build/.stamp 2>/dev/null)" ]]; then
        slow "Front end" npm run --silent build
        printf '%s\n' "$sum" >public/build/.stamp
    fi
}
