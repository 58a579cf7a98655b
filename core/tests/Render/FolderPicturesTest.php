<?php

declare(strict_types=1);

use TallCrow\Asset\FolderShelf;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Piece;
use TallCrow\Render\UnpackedShelf;
use TallCrow\Tests\Fixtures;

/** Processes that ask for the same at once, each noting when it has to draw it. @return string what all noted */
function at_once(string $ask, int $processes = 3): string
{
    $folder = Fixtures::temporary('at-once');
    $code = 'require '.var_export(dirname(__DIR__, 3).'/vendor/autoload.php', true).';
        $pictures = new TallCrow\Render\FolderPictures('.var_export("$folder/kept", true).');
        $frame = new TallCrow\Render\Frame(60.0, 0, 0, 8, 8);
        $draw = function (): TallCrow\Raster\Image {
            file_put_contents('.var_export("$folder/noted", true).', "drawn ", FILE_APPEND);
            usleep(600_000);
            return TallCrow\Raster\Image::empty(8, 8, 1)->inverted();
        };
        '.$ask;
    $running = [];
    for ($i = 0; $i < $processes; $i++) {
        $running[] = proc_open([PHP_BINARY, '-r', $code], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes[$i]);
    }
    $said = [];
    foreach ($running as $i => $process) {
        $said[] = stream_get_contents($pipes[$i][1]).stream_get_contents($pipes[$i][2]);
        proc_close($process);
    }
    expect(glob("$folder/kept/*.lock"))->toBe([]);

    return implode(',', $said).' after '.trim((string) file_get_contents("$folder/noted"));
}

it('draws a picture once, however many processes ask for it at once', function (): void {
    expect(at_once('echo $pictures->image("moon", $draw)->mean();'))->toBe('255,255,255 after drawn');
});

it('draws a piece once, however many processes ask for it at once', function (): void {
    expect(at_once('$piece = $pictures->piece("kite", $frame, fn () => new TallCrow\Render\Piece($draw(), $frame)); echo $piece->frame->width, $piece->image->mean();'))
        ->toBe('8255,8255,8255 after drawn');
});

it('lets another process try when one could not draw it', function (): void {
    expect(at_once('try { $pictures->image("moon", function () use ($draw) { $draw(); throw new RuntimeException; }); } catch (RuntimeException) { echo "failed"; }'))
        ->toBe('failed,failed,failed after drawn drawn drawn');
});

it('remembers that nothing of a piece shows in a window', function (): void {
    $pictures = new FolderPictures(Fixtures::temporary('kept'));
    $asked = 0;
    $make = function () use (&$asked): ?Piece {
        $asked++;

        return null;
    };
    $frame = new Frame(60, 0, 0, 8, 8);
    expect($pictures->piece('kite', $frame, $make))->toBeNull()->and($pictures->piece('kite', $frame, $make))->toBeNull()->and($asked)->toBe(1);
});

it('draws a piece again whose picture another process has thrown away', function (): void {
    $folder = Fixtures::temporary('kept');
    $pictures = new FolderPictures($folder);
    $frame = new Frame(60, 0, 0, 8, 8);
    $ask = fn (): float => $pictures->piece('kite', $frame, fn (): Piece => new Piece(Image::empty(8, 8, 1)->inverted(), $frame))->image->mean();
    $ask();
    array_map(unlink(...), glob("$folder/*.v"));
    expect($ask())->toBe(255.0);
});

it('throws the longest unused away first', function (): void {
    $folder = Fixtures::temporary('kept');
    $pictures = new FolderPictures($folder, 5000, '');
    foreach (['old', 'used', 'new'] as $i => $name) {
        $pictures->text($name, fn (): string => str_repeat('x', 2000));
        touch("$folder/t".sha1($name), time() - 10_000 + $i * 10);
    }
    // Made first, but asked for since.
    touch("$folder/t".sha1('used'), time() - 20_000);
    $pictures->text('used', fn (): string => '');
    $pictures->tidy();
    $asked = [];
    foreach (['old', 'used', 'new'] as $name) {
        $pictures->text($name, function () use (&$asked, $name): string {
            $asked[] = $name;

            return '';
        });
    }
    expect($asked)->toBe(['old']);
});

it('keeps materials where they outlive a print, and pieces in its own folder', function (): void {
    [$own, $shared] = [Fixtures::temporary('print'), Fixtures::temporary('materials')];
    $made = 0;
    $draw = function () use (&$made): Image {
        $made++;

        return Image::empty(8, 8, 1)->inverted();
    };
    foreach ([1, 2] as $print) {
        $pictures = new FolderPictures("$own/$print", materials: new FolderPictures($shared));
        expect($pictures->material('field', $draw)->mean())->toBe(255.0);
        $pictures->image('piece', $draw);
        // Within one process, too, that keeps nothing else.
        (new NoPictures(new FolderPictures($shared)))->material('field', $draw);
    }
    expect($made)->toBe(3)->and(glob("$shared/*.v"))->toHaveCount(1)->and(glob("$own/*/*.v"))->toHaveCount(2);
});

it('unpacks a large raster once, and shows the new one when the file is changed', function (): void {
    $folder = Fixtures::temporary('large');
    $shelf = fn (): UnpackedShelf => new UnpackedShelf(new FolderShelf($folder), new FolderPictures("$folder/kept"));
    Fixtures::run(['convert', '-size', '1200x1000', 'xc:#804020', "PNG24:$folder/wall.png"]);
    expect(Fixtures::pixel($shelf()->picture('wall.png')->pixels(), 5, 5))->toBe([128, 64, 32, 255])
        ->and(glob("$folder/kept/*.v"))->toHaveCount(1)
        ->and(Fixtures::pixel($shelf()->picture('wall.png')->cut(new Box(0.5, 0.5, 1.0, 1.0))->pixels(), 599, 499))->toBe([128, 64, 32, 255])
        ->and(glob("$folder/kept/*.v"))->toHaveCount(1);
    Fixtures::run(['convert', '-size', '1200x1000', 'xc:#204080', "PNG24:$folder/wall.png"]);
    expect(Fixtures::pixel($shelf()->picture('wall.png')->pixels(), 5, 5))->toBe([32, 64, 128, 255])
        ->and(glob("$folder/kept/*.v"))->toHaveCount(2);
});
