<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\FolderShelf;
use TallCrow\House\Fit;
use TallCrow\House\FitMode;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\Render\Renderer;

/**
 * One design for one house, and for five: print files with all checks, by two processes beside one another that share pieces, as the workers
 * make them. The reference is the one file, made alone.
 */
function sent(Artwork $artwork, string $folder, int $runs): void
{
    $places = [['bramble-market', 'Basic tee/front'], ['mill-lane-print', 'Heavy tee/front'], ['mill-lane-print', 'Hoodie/back'], ['bramble-market', 'Basic tee/back'], ['halyard-transfers', 'Film A4/sheet']];
    $renderer = new Renderer(new FolderShelf($folder));
    $calls = [];
    foreach ($places as $i => [$slug, $key]) {
        $file = dirname(__DIR__)."/demo/houses/$slug.json";
        $place = House::json((string) file_get_contents($file))->at($key) ?? throw new RuntimeException("$slug has no $key.");
        file_put_contents("$folder/fit-$i.json", json_encode(Fit::of($artwork, $place, Fitting::by(FitMode::Contain), $renderer)->artwork->toArray()));
        $calls[] = dirname(__DIR__)."/bin/crow print $folder/fit-$i.json --out $folder/sent-$i --scratch $folder/scratch-$i --materials $folder/materials --kind {$place->kind->value} --house $file --place ".escapeshellarg($key)." --shelf $folder";
    }
    [$one] = process("$calls[0] --pieces $folder/one-\$\$", $runs);
    file_put_contents("$folder/calls", implode("\n", array_map(fn (string $call): string => "$call --pieces $folder/all-\$BATCH >/dev/null", $calls))."\n");
    file_put_contents("$folder/send.sh", "export BATCH=\$\$\nxargs -P 2 -d '\\n' -I CALL bash -c CALL < $folder/calls\n");
    [$five] = process("bash $folder/send.sh", $runs);
    printf("one design to one house                    %5.2f s\n", $one);
    printf("the same to five houses, all checks        %5.2f s   ratio %4.2f        (limit 3.5)\n", $five, $five / $one);
}
