# Sourced by bin/demo: starts nginx, the pools of PHP and the workers, keeps them running, and ends all of them together.

PIDS=()
NAMES=()

# fill_in FILE USER: writes a configuration for this start. Root's own processes stay root's: the files are no other user's.
fill_in() {
    local user= tls= certificate=
    [ "$(id -u)" -ne 0 ] || user=$2
    if [ -n "${TLS_CERTIFICATE:-}" ]; then
        tls=" ssl http2"
        certificate="ssl_certificate $TLS_CERTIFICATE; ssl_certificate_key $TLS_KEY; ssl_protocols TLSv1.2 TLSv1.3;"
    fi
    sed -e "s|@RUN@|$RUN|g; s|@LOGS@|$LOGS|g; s|@ROOT@|$ROOT|g; s|@HOST@|$HOST|g; s|@PORT@|$PORT|g" \
        -e "s|@USER@|$user|g; s|@TLS@|$tls|; s|@CERTIFICATE@|$certificate|" \
        -e "s|@PAGES@|${PAGES:-8}|; s|@DRAWING@|${DRAWING:-4}|; s|@CHECKING@|${CHECKING:-2}|; s|@DRAWING_SECONDS@|${DRAWING_SECONDS:-40}|; s|@CHECKING_SECONDS@|${CHECKING_SECONDS:-110}|" \
        "bin/server/$1" >"$RUN/$1"
}

# begin NAME COMMAND...: each part leads a process group of its own, so that what it forked goes with it.
begin() {
    local name=$1
    shift
    setsid "$@" >>"$LOGS/$name.log" 2>&1 &
    PIDS+=($!)
    NAMES+=("$name")
    echo "$! $(stat -c %Y "/proc/$!" 2>/dev/null)" >>"$RUN/started"
}

# Linux shares the processor out by sessions first, and each part has one of its own: a nice value alone would count among the part's own processes only.
humble() {
    { echo 15 >"/proc/$1/autogroup"; } 2>/dev/null || true
}

# again AT COMMAND...: a part that ended is started in its old place.
again() {
    local at=$1
    shift
    setsid "$@" >>"$LOGS/${NAMES[$at]}.log" 2>&1 &
    PIDS[at]=$!
    echo "$! $(stat -c %Y "/proc/$!" 2>/dev/null)" >>"$RUN/started"
}

# What a starter that was killed has left running is ended, and its port is free again.
end_what_is_left() {
    local pid since starter
    [ -f "$RUN/started" ] || return 0
    starter=$(head -1 "$RUN/started")
    if kill -0 "$starter" 2>/dev/null && grep -qa 'bin/demo' "/proc/$starter/cmdline" 2>/dev/null; then
        fail "this shop is running already (process $starter). End it, or choose another CROW_DATA."
    fi
    tail -n +2 "$RUN/started" | while read -r pid since; do
        [ -n "$since" ] && [ "$(stat -c %Y "/proc/$pid" 2>/dev/null)" = "$since" ] && kill -KILL -- "-$pid" 2>/dev/null
    done
    rm -f "$RUN/started"
    sleep 0.2
}

stop() {
    trap - INT TERM EXIT
    local pid
    for pid in "${PIDS[@]}"; do kill -TERM -- "-$pid" 2>/dev/null; done
    for _ in $(seq 25); do
        kill -0 "${PIDS[@]}" 2>/dev/null || break
        sleep 0.1
    done
    # An export under way is begun again at the next start.
    for pid in "${PIDS[@]}"; do kill -KILL -- "-$pid" 2>/dev/null; done
    wait 2>/dev/null
    rm -f "$RUN/started" "$RUN"/*.sock
    echo "Tall Crow has stopped."
}

serve() {
    local php_fpm root=()
    PRINT_HOUSE=(env PHP_CLI_SERVER_WORKERS=3 "PRINT_HOUSE_FOLDER=${DATA:-$ROOT/storage/framework}/print-house" "PRINT_HOUSE_MOODY=${PRINT_HOUSE_MOODY:-yes}"
        php -d post_max_size=0 -S "${CROW_PRINT_HOUSE#http://}" print-house/serve.php)
    php_fpm=$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)
    [ "$(id -u)" -ne 0 ] || root=(-R)
    mkdir -p "$RUN" && chmod 700 "$RUN" || fail "the folder $RUN cannot be made."
    end_what_is_left
    port_in_use && fail "port $PORT is in use. Choose another: bin/demo 8400"
    fill_in nginx.conf "user root;"
    fill_in php-fpm.conf "user = root"
    echo $$ >"$RUN/started"
    trap 'stop; exit 0' INT TERM
    trap stop EXIT
    # No process may take more memory than this: a drawing that asks for more is ended alone.
    begin php-fpm bash -c "ulimit -v ${MEMORY_KB:-6000000}; exec $php_fpm ${root[*]} -y $RUN/php-fpm.conf"
    begin nginx /usr/sbin/nginx -p "$RUN" -e "$LOGS/nginx.log" -c "$RUN/nginx.conf"
    # A print house to try sending with: a process of its own, on this machine alone.
    begin print-house "${PRINT_HOUSE[@]}"
    for _ in $(seq "${WORKERS:-2}"); do
        begin worker nice -n 15 php artisan crow:work
        humble "${PIDS[-1]}"
    done
    for _ in $(seq 80); do
        port_in_use && [ -S "$RUN/pages.sock" ] && return
        kill -0 "${PIDS[0]}" "${PIDS[1]}" 2>/dev/null || break
        sleep 0.1
    done
    fail "the web server did not start; $LOGS/nginx.log and $LOGS/php-fpm.log say why."
}

# Whatever ends is started afresh; workers end by themselves after many jobs.
watch() {
    local at
    while true; do
        for at in "${!PIDS[@]}"; do
            kill -0 "${PIDS[$at]}" 2>/dev/null && continue
            case ${NAMES[$at]} in
                worker)
                    again "$at" nice -n 15 php artisan crow:work
                    humble "${PIDS[$at]}"
                    ;;
                print-house) again "$at" "${PRINT_HOUSE[@]}" ;;
                *) fail "${NAMES[$at]} has ended; $LOGS/${NAMES[$at]}.log says why." ;;
            esac
        done
        sleep 1 &
        wait $!
    done
}
