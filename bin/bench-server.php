<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;

/** @return array{int, string, float} status, body, seconds */
function ask(string $method, string $url, ?array $body = null): array
{
    static $connection = null;
    $connection ??= curl_init();
    $token = preg_match('/XSRF-TOKEN\t(\S+)/', implode("\n", curl_getinfo($connection, CURLINFO_COOKIELIST)), $found) === 1 ? urldecode($found[1]) : '';
    curl_setopt_array($connection, [
        // Cookies are kept in memory.
        CURLOPT_COOKIEFILE => '',
        CURLOPT_URL => $url, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true,
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Sec-Fetch-Site: same-origin', "X-XSRF-TOKEN: $token"],
        CURLOPT_POSTFIELDS => $body === null ? null : json_encode($body),
    ]);
    $start = microtime(true);
    $answer = (string) curl_exec($connection);

    return [(int) curl_getinfo($connection, CURLINFO_HTTP_CODE), $answer, microtime(true) - $start];
}

/** Starts a server of its own on a fresh database. @return array{string, resource} address, process */
function serve(string $folder): array
{
    $port = 8397;
    $server = proc_open(['bash', '-c', "CROW_DATA=$folder/data WORKERS=2 exec ".__DIR__."/demo $port"], [1 => ['file', '/dev/null', 'w'], 2 => ['file', "$folder/server.err", 'w']], $pipes);
    $base = "http://127.0.0.1:$port/api";
    for ($i = 0; $i < 300 && ask('GET', "http://127.0.0.1:$port/")[0] !== 200; $i++) {
        usleep(200_000);
    }
    $link = (string) exec("CROW_DATA=$folder/data ".__DIR__."/artisan crow:link --url=http://127.0.0.1:$port");
    [$status, $body] = ask('POST', "$base/session/enter", ['pass' => basename($link)]);
    if ($status !== 200) {
        exit("bench: the link of the start opened nothing ($status): $body\n");
    }

    return [$base, $server];
}

/** @return array{id: int, version: int} */
function start_job(string $base, Artwork $artwork): array
{
    [$status, $body] = ask('POST', "$base/jobs", [
        'title' => 'Benchmark', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'accept-200', 'garments' => $artwork->toArray()['garments'],
        'area' => ['name' => 'Bench', 'width' => 4500, 'height' => 5400, 'ppi' => 300],
    ]);
    if ($status !== 201) {
        fwrite(STDERR, "bench: the server did not start a job ($status): $body\n");
        exit(1);
    }

    return json_decode($body, true);
}

/** On a server of its own, changes one value at a time, and times the save and the proof. */
function proof(Artwork $artwork, string $folder, int $runs, string $layer = 'name', string $what = 'proof at 60 ppi after one changed value   '): void
{
    [$base, $server] = serve($folder);
    $job = start_job($base, $artwork);
    $sheet = $artwork->toArray();
    $version = $job['version'];
    $saves = $proofs = [];
    $at = array_search($layer, array_column($sheet['layers'], 'id'), true);
    for ($i = 0; $i < $runs + 4; $i++) {
        if ($layer === 'moth') {
            $sheet['layers'][$at]['masks'][0] = ['kind' => 'brush', 'strokes' => array_map(fn (int $n): array => ['points' => [[0.1, 0.1 + $n * 0.03], [0.9, 0.12 + $n * 0.03]], 'width' => 0.15], range(0, $i))];
        } else {
            // One value: the bend of the arched word, which has two rings.
            $sheet['layers'][$at]['effects'][0]['bend'] = 0.2 + $i * 0.005;
        }
        [$status, $body, $save] = ask('PUT', "$base/jobs/{$job['id']}/artwork", ['version' => $version, 'artwork' => $sheet]);
        $answer = json_decode($body, true);
        $version = $answer['version'] ?? exit("bench: save answered $status: $body\n");
        [$status, , $proof] = ask('GET', "$base/revisions/{$answer['revision']}/proof.png?ppi=60");
        if ($status !== 200) {
            exit("bench: proof answered $status\n");
        }
        if ($i >= 4) {
            $saves[] = $save;
            $proofs[] = $proof;
        }
    }
    printf("%s %5.0f ms  (limit 150 ms, median of %d, warm; 900 × 1080 px)\n", $what, median($proofs) * 1000, $runs);
    printf("saving that value and measuring all lines  %5.0f ms\n", median($saves) * 1000);
    proc_terminate($server, SIGTERM);
    proc_close($server);
}

/** Scrolls the finder of fonts through the shelf as shipped, and again with 300 fonts on it. */
function finder(Artwork $artwork, string $folder): void
{
    [$base, $server] = serve($folder);
    $job = start_job($base, $artwork);
    [$status, $body] = ask('PUT', "$base/jobs/{$job['id']}/artwork", ['version' => $job['version'], 'artwork' => $artwork->toArray()]);
    $status === 200 || exit("bench: save answered $status: $body\n");
    $site = substr($base, 0, -4);
    $scroll = fn () => passthru('node '.escapeshellarg(__DIR__.'/bench-finder.mjs').' '.escapeshellarg("$site/jobs/{$job['id']}/build"));
    $scroll();
    $fonts = glob("$folder/*.{woff2,ttf,otf}", GLOB_BRACE);
    $have = count(array_filter(json_decode(ask('GET', "$base/assets")[1], true), fn (array $asset): bool => $asset['kind'] === 'font'));
    for ($i = 0; $have + $i < 300; $i++) {
        $font = $fonts[$i % count($fonts)];
        $form = ['file' => new CURLFile($font, 'font/woff2', sprintf('%03d-%s', $i, basename($font))), 'licence' => 'own word', 'held' => '1'];
        $connection = curl_init("$base/assets");
        curl_setopt_array($connection, [CURLOPT_POSTFIELDS => $form, CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Accept: application/json', 'Sec-Fetch-Site: same-origin']]);
        $answer = (string) curl_exec($connection);
        curl_getinfo($connection, CURLINFO_HTTP_CODE) === 201 || exit("bench: the shelf refused a font: $answer\n");
    }
    $scroll();
    proc_terminate($server, SIGTERM);
    proc_close($server);
}
