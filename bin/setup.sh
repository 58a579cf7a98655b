# Sourced by bin/demo, bin/test and bin/bench: puts in place what is missing, and is done at once when nothing is.

cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 2
ROOT=$PWD
STAMPS=$ROOT/storage/framework/stamps
export PHP_INI_SCAN_DIR=":$ROOT/bin/php"
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

PACKAGES=(
    php8.2-cli php8.2-common php8.2-sqlite3 php8.2-mbstring php8.2-xml php8.2-curl php8.2-zip php8.2-intl unzip
    libvips42 libcairo2 libfreetype6 libharfbuzz0b libfribidi0 libgeos-c1v5 potrace
    nginx-light php8.2-fpm
    hunspell hunspell-en-us hunspell-de-de hunspell-fr hunspell-es
    liblcms2-utils icc-profiles-free librsvg2-bin poppler-utils
    chromium-headless-shell imagemagick pngcheck libharfbuzz-bin woff2 fonts-lohit-deva fonts-dejavu-core
)

fail() {
    echo "Tall Crow: $*" >&2
    exit 1
}

need() {
    command -v "$1" >/dev/null 2>&1 || fail "$2 is not installed. Install it and run this again."
}

system_packages() {
    local missing=() package
    local have
    have=$(dpkg-query -W -f '${Package} ${Status}\n' "${PACKAGES[@]}" 2>/dev/null | awk '$4 == "installed" { print $1 }')
    for package in "${PACKAGES[@]}"; do
        grep -qx "$package" <<<"$have" || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return
    local as=()
    if [ "$(id -u)" -ne 0 ]; then
        command -v sudo >/dev/null 2>&1 || fail "these Debian packages are missing and you may not install them: ${missing[*]}. Run this as root, or ask for them."
        as=(sudo)
    fi
    echo "Installing Debian packages: ${missing[*]}"
    "${as[@]}" apt-get update -qq >/dev/null || fail "the Debian package lists could not be read. Is the network there?"
    DEBIAN_FRONTEND=noninteractive "${as[@]}" apt-get install -y -qq --no-install-recommends "${missing[@]}" >/tmp/tall-crow-apt.log 2>&1 \
        || fail "Debian packages could not be installed (${missing[*]}); /tmp/tall-crow-apt.log says why."
}

# once NAME FILES... -- COMMAND...: runs the command unless these files are as they were when it last succeeded.
once() {
    local name=$1 files=() mark
    shift
    while [ "$1" != -- ]; do
        files+=("$1")
        shift
    done
    shift
    mark=$(find "${files[@]}" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)
    [ -f "$STAMPS/$name" ] && [ "$(cat "$STAMPS/$name")" = "$mark" ] && return
    "$@" || return 1
    mkdir -p "$STAMPS"
    echo "$mark" >"$STAMPS/$name"
}

composer_packages() {
    echo "Installing Composer packages"
    composer install --quiet --no-scripts && php artisan package:discover --quiet
}

npm_packages() {
    echo "Installing npm packages"
    npm ci --silent --no-audit --no-fund
}

types_of_the_api() {
    node bin/types.mjs
}

common_passwords() {
    node bin/passwords.mjs
}

build_interface() {
    echo "Building the interface"
    npx vite build --logLevel error
}

# Where the database, uploads and exports lie: CROW_DATA, or within the checkout. Everything that is started reads it from here.
data_folder() {
    DATA=${CROW_DATA:-}
    if [ -n "$DATA" ]; then
        mkdir -p "$DATA/storage" "$DATA/views" "$DATA/private/sessions" "$DATA/private/cache" || fail "the folder $DATA cannot be made."
        DATA=$(cd "$DATA" && pwd)
        STAMPS=$DATA/stamps
        export DB_DATABASE=${DB_DATABASE:-$DATA/database.sqlite} CROW_STORAGE=$DATA/storage/shops CROW_PRIVATE=$DATA/private CROW_LOGS=$DATA
        export APP_CONFIG_CACHE=$DATA/config.php APP_ROUTES_CACHE=$DATA/routes.php APP_EVENTS_CACHE=$DATA/events.php VIEW_COMPILED_PATH=$DATA/views
    fi
    mkdir -p storage/logs storage/framework/sessions storage/framework/views storage/framework/cache
    LOGS=${DATA:-$ROOT/storage/logs}
    RUN=${DATA:-$ROOT/storage/framework}/run
    # The name of a socket has room for 107 characters.
    [ ${#RUN} -lt 90 ] || RUN=/tmp/tall-crow-$(id -u)-$(sha256sum <<<"$RUN" | cut -c1-12)
    DATABASE=${DB_DATABASE:-$ROOT/database/database.sqlite}
}

environment() {
    [ -f .env ] || cp .env.example .env
    grep -q '^APP_KEY=.' .env || php artisan key:generate --quiet --force
}

setup() {
    need php "PHP 8.2"
    need composer "Composer"
    need node "Node.js 20"
    need npm "npm"
    php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "PHP 8.2 or newer is needed; this is $(php -r 'echo PHP_VERSION;')."
    node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' \
        || fail "Node.js 20.19 or newer is needed; this is $(node -v)."
    system_packages
    [ -d vendor ] || rm -f "$STAMPS/composer"
    [ -d node_modules ] || rm -f "$STAMPS/npm"
    [ -f public/build/manifest.json ] || rm -f "$STAMPS/interface"
    once composer composer.json -- composer_packages || fail "Composer packages could not be installed."
    once npm package.json package-lock.json -- npm_packages || fail "npm packages could not be installed."
    [ -f resources/ts/generated/api.ts ] || rm -f "$STAMPS/types"
    once types docs/api.schema.json bin/types.mjs package-lock.json -- types_of_the_api || fail "the types of the interface could not be made."
    [ -f storage/framework/common-passwords.txt ] || rm -f "$STAMPS/passwords"
    once passwords bin/passwords.mjs package-lock.json -- common_passwords || fail "the list of common passwords could not be made."
    once interface resources/ts vite.config.ts package-lock.json -- build_interface || fail "the interface could not be built."
    [ -f demo/shelf/licences.json ] || rm -f "$STAMPS/shelf"
    once shelf demo/assets.json demo/art demo/DemoAssets.php package-lock.json -- php demo/gather.php || fail "the demo's fonts and art could not be put together."
    environment || fail "the environment file .env could not be written."
}
