<?php

declare(strict_types=1);

use Demo\Benchmark;
use TallCrow\Artwork\Artwork;

/** What a hand waits for, in the real browser on a server of its own: from the press to the picture, and to the pages. */
function hand(Artwork $artwork, string $folder, int $runs): void
{
    [$base, $server] = serve($folder);
    $site = substr($base, 0, -4);
    $small = ['layers' => array_slice(Benchmark::artwork()->toArray()['layers'], -1)] + $artwork->toArray();
    for ($i = 1; $i <= 200; $i++) {
        $job = start_job($base, $artwork);
        [$status, $body] = ask('PUT', "$base/jobs/{$job['id']}/artwork", ['version' => $job['version'], 'artwork' => $i === 200 ? $artwork->toArray() : $small]);
        $status === 200 || exit("bench: save answered $status: $body\n");
    }
    $link = (string) exec("CROW_DATA=$folder/data ".__DIR__."/artisan crow:link --url=$site");
    passthru('node '.escapeshellarg(__DIR__.'/bench-hand.mjs').' '.escapeshellarg($link).' '.escapeshellarg("$site/jobs/{$job['id']}/build")." $runs");
    proc_terminate($server, SIGTERM);
    proc_close($server);
}
