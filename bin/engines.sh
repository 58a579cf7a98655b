# Sourced by bin/test: runs the server's tests on PostgreSQL, Redis and a store of the S3 kind, started for that in a folder of their own and ended with it.

PACKAGES+=(postgresql redis-server php8.2-pgsql)

engines() {
    local folder port=5544 cache=6399 store=4569 code bin as=()
    bin=$(find /usr/lib/postgresql -maxdepth 2 -name bin | sort -V | tail -1)
    folder=$(mktemp -d /tmp/tall-crow-engines-XXXXXX)
    # PostgreSQL refuses to be root's.
    [ "$(id -u)" -ne 0 ] || { as=(setpriv --reuid postgres --regid postgres --init-groups); chown postgres "$folder"; }
    (
        cd "$folder" || exit 1
        "${as[@]}" "$bin/initdb" -D "$folder/data" -A trust -U tallcrow >/dev/null &&
            "${as[@]}" "$bin/pg_ctl" -D "$folder/data" -o "-p $port -k $folder -c listen_addresses=127.0.0.1 -c fsync=off" -l "$folder/log" -w start >/dev/null &&
            "${as[@]}" "$bin/createdb" -h 127.0.0.1 -p "$port" -U tallcrow tallcrow
    ) || { echo "PostgreSQL did not start: $folder/log" >&2; return 1; }
    redis-server --port "$cache" --bind 127.0.0.1 --save '' --dir "$folder" >"$folder.redis" 2>&1 &
    node_modules/.bin/s3rver --directory "$folder.s3" --address 127.0.0.1 --port "$store" --silent --configure-bucket crow --configure-bucket crow-1 --configure-bucket crow-2 >"$folder.store" 2>&1 &
    for _ in $(seq 1200); do (: </dev/tcp/127.0.0.1/"$store") 2>/dev/null && break || sleep 0.1; done
    (
        export DB_CONNECTION=pgsql DB_PORT=$port DB_DATABASE=tallcrow DB_USERNAME=tallcrow CACHE_STORE=redis SESSION_DRIVER=redis SESSION_CONNECTION=default REDIS_PORT=$cache
        export CROW_DISK=s3 AWS_ACCESS_KEY_ID=S3RVER AWS_SECRET_ACCESS_KEY=S3RVER AWS_BUCKET=crow AWS_ENDPOINT=http://127.0.0.1:$store
        php -d memory_limit=2G vendor/bin/pest --compact --parallel --processes=2 tests/Http && php vendor/bin/pest --compact tests/Growth
    )
    code=$?
    kill $(jobs -p) 2>/dev/null
    "${as[@]}" "$bin/pg_ctl" -D "$folder/data" -m immediate stop >/dev/null
    rm -rf "$folder" "$folder".{redis,store,s3}
    return $code
}
