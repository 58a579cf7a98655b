<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkReader;

/**
 * A series of so many rows of a pattern of five layers (a disc, a drawing with a ring, two lines of names under a warp and a turn, worn as a whole),
 * by as many workers as there are processors. The reference is `bin/crow render`, run for each row; it is timed on a few and counted up.
 */
function series(string $folder, int $rows): void
{
    $sheet = json_decode((string) file_get_contents(dirname(__DIR__).'/demo/artworks/kite-day.json'), true);
    $sheet['layers'] = array_values(array_filter($sheet['layers'], fn (array $layer): bool => $layer['id'] !== 'gap'));
    file_put_contents("$folder/pattern.json", json_encode(ArtworkReader::data($sheet)->toArray()));
    file_put_contents("$folder/slots.json", json_encode(['format' => 'tallcrow.pattern/1', 'title' => '{Name} kite day', 'slots' => [
        ['name' => 'Name', 'places' => ['name/source/text'], 'fit' => ['keep' => 'box', 'least' => 0.5, 'tighter' => 40]], ['name' => 'Year', 'places' => ['line/source/text'], 'fit' => ['keep' => 'letters', 'widest' => 10]],
    ]]));
    $list = fn (int $count): string => "Name,Year\n".implode('', array_map(fn (int $i): string => sprintf("%s %s,since %d\n", ['Weir', 'Lantern', 'Quarry', 'Moth', 'Tide'][$i % 5], ['Road', 'Lane', 'Hill'][$i % 3].$i, 1800 + $i), range(1, $count)));
    $workers = max(1, (int) shell_exec('nproc'));
    $run = function (int $count) use ($folder, $list, $workers): array {
        file_put_contents("$folder/list.csv", $list($count));
        $start = microtime(true);
        exec('/usr/bin/time -f %M '.dirname(__DIR__)."/bin/crow series $folder/pattern.json --pattern $folder/slots.json --rows $folder/list.csv --out $folder/series --workers $workers --shelf ".dirname(__DIR__).'/demo/shelf 2>&1', $said, $code);
        if ($code !== 0) {
            throw new RuntimeException(implode("\n", array_slice($said, -4)));
        }

        return [microtime(true) - $start, (float) end($said) / 1000];
    };
    [, $few] = $run(20);
    [$seconds, $memory] = $run($rows);
    $made = count(glob("$folder/series/*.png") ?: []);
    [$one] = process(dirname(__DIR__)."/bin/crow render $folder/pattern.json --out $folder/one.png --shelf ".dirname(__DIR__).'/demo/shelf', 5);
    printf("a series of %d rows, %d workers            %6.1f s   %4.0f rows a minute; %d files\n", $rows, $workers, $seconds, 60 * $rows / $seconds, $made);
    printf("memory of a worker, 20 rows and all        %6.0f and %.0f MB\n", $few, $memory);
    printf("crow render, run for each row              %6.1f s   (%.2f s each)   %.1f times as long (at least 4)\n", $one * $rows, $one, $one * $rows / $seconds);
}
