<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\FolderShelf;
use TallCrow\Preflight\Preflight;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;

/**
 * The gauges of the benchmark sheet after one piece was moved, with what does not change kept, as on the server; and all checks on the print's own
 * pixels, in a process of its own. ImageMagick opening and closing the same ink by the same widths is the reference.
 */
function checked(Artwork $artwork, string $folder, int $runs): void
{
    $shelf = new FolderShelf($folder);
    $gauges = [];
    for ($i = 0; $i <= $runs; $i++) {
        $moved = $artwork->withLayer('bell', $artwork->layer('bell')->moved(0.01 * $i, 0.0));
        $start = microtime(true);
        Preflight::artwork($moved, new Renderer($shelf, new FolderPictures("$folder/kept")), $shelf, closely: false);
        $gauges[] = microtime(true) - $start;
    }
    printf("gauges after one piece was moved           %5.2f s                  (limit 0.7 s; the first time %.2f s)\n", median(array_slice($gauges, 1)), $gauges[0]);

    $code = 'require '.var_export(dirname(__DIR__).'/vendor/autoload.php', true).';
        $shelf = new TallCrow\Asset\FolderShelf('.var_export($folder, true).');
        $artwork = TallCrow\Artwork\ArtworkReader::json(file_get_contents('.var_export("$folder/bench.json", true).'));
        $renderer = new TallCrow\Render\Renderer($shelf, new TallCrow\Render\FolderPictures('.var_export("$folder/kept", true).'));
        $picture = $renderer->picture($artwork, TallCrow\Render\Frame::sheet($artwork->sheet, 300))->settled();
        if (($argv[1] ?? "") === "all") { TallCrow\Preflight\Preflight::artwork($artwork, $renderer, $shelf, null, $picture); }';
    file_put_contents("$folder/check.php", "<?php $code");
    process("php -d memory_limit=2G $folder/check.php all", 1);
    [$all, $memory] = process("php -d memory_limit=2G $folder/check.php all", $runs);
    [$bare] = process("php -d memory_limit=2G $folder/check.php", $runs);
    printf("all of Check at print size                 %5.2f s   peak %4.0f MB   (limit 6 s, 1000 MB; without drawing the print)\n", $all - $bare, $memory);

    $ink = (new Renderer($shelf))->picture($artwork, Frame::sheet($artwork->sheet, 300))->alpha()->isMore(127.0)->settled();
    ImageFile::writePng($ink, "$folder/ink.png", 1);
    [$reference] = process("convert $folder/ink.png -morphology Open Square:2 -morphology Close Square:2 $folder/opened.png", 1);
    printf("ImageMagick: opening and closing that ink  %5.2f s   all of Check is %.1f times that\n", $reference, ($all - $bare) / $reference);
}
