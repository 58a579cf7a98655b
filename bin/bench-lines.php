<?php

declare(strict_types=1);

/**
 * Times every effect, texture, paper and mask alone on a piece of 12 × 12 in: the print at 300 ppi in a process of its own with its peak memory, what of
 * that the line itself takes (less the bare piece, its file's reading and writing and PHP's start), and a proof at 60 ppi once what does not change is kept.
 */

use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\MaskReader;
use TallCrow\Asset\FolderShelf;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Catalogue as Effects;
use TallCrow\Effect\Stage;
use TallCrow\Paper\Catalogue as Papers;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;
use TallCrow\Texture\Catalogue as Textures;

/** @return array<string, mixed> a sheet of 12 × 12 in with one piece that fills it */
function sheet_with(array $source, array $more): array
{
    $piece = $more + ['id' => 'piece', 'source' => $source, 'placement' => ['x' => 6, 'y' => 6, 'width' => 11.8, 'height' => $source['kind'] === 'text' ? null : 11.8], 'effects' => []];
    $other = ['id' => 'other', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'placement' => ['x' => 6, 'y' => 6, 'width' => 9, 'height' => 9], 'on' => false];

    return [
        'format' => TallCrow\Artwork\Artwork::FORMAT, 'title' => 'One line', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'strict-300', 'sheet' => ['width' => 3600, 'height' => 3600, 'ppi' => 300],
        'garments' => [['name' => 'Slate', 'colour' => '#3d4a57']], 'layers' => [$other, $piece], 'distress' => [],
    ];
}

/** @return array<string, array<string, mixed>> sheets by what is tried on them */
function lines(): array
{
    $words = ['kind' => 'text', 'text' => "TIDE\nPOOL\nRANGERS", 'font' => 'anton.woff2', 'align' => 'centre', 'leading' => 1];
    $photo = ['kind' => 'art', 'file' => 'photo.png', 'frame' => 'file'];
    $plate = ['kind' => 'shape', 'shape' => 'rectangle'];
    $fill = ['kind' => 'fill', 'colour' => '#b04a2c'];
    $sheets = [];
    foreach (Effects::classes() as $kind => $class) {
        $stage = Stage::of($class);
        $scribble = [['points' => [[0.4, 0.4], [0.6, 0.6]], 'width' => 0.05, 'keeps' => true]];
        $line = ['kind' => $kind] + match ($kind) {
            'subject' => ['scribbles' => $scribble], 'picture' => ['file' => 'photo.png'], 'clear-buckets' => ['hidden' => ['#808080']], default => [],
        };
        $sheets["effect $kind"] = $stage->isForRasters() || ($stage === Stage::Look && $kind !== 'tidied')
            ? sheet_with($photo, ['effects' => [$line]])
            : sheet_with($words, ['effects' => [$fill, $line]]);
        if (is_a($class, BendsOutline::class, true)) {
            $sheets["effect $kind of art"] = sheet_with(['kind' => 'art', 'file' => 'kite.svg'], ['effects' => [$line]]);
            $sheets["effect $kind of a photo"] = sheet_with($photo, ['effects' => [$line]]);
        }
    }
    foreach (array_keys(Textures::classes()) as $texture) {
        $sheets["texture $texture"] = sheet_with($plate, ['effects' => [$fill], 'distress' => [['texture' => $texture, 'amount' => 0.15, 'seed' => 3]]]);
    }
    foreach (Papers::kinds() as $paper) {
        $sheets["paper $paper"] = sheet_with($plate, ['effects' => [['kind' => 'paper', 'paper' => $paper]]]);
    }
    foreach (MaskReader::kinds() as $kind) {
        $mask = ['kind' => $kind] + match ($kind) {
            'freehand' => ['points' => [[0.1, 0.1], [0.9, 0.2], [0.5, 0.9]], 'feather' => 0.2],
            'brush' => ['strokes' => [['points' => [[0.2, 0.2], [0.8, 0.8]], 'width' => 1, 'hardness' => 0.3, 'restores' => false]]],
            'clip' => ['layer' => 'other'], 'picture' => ['file' => 'photo.png'],
            default => ['x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5],
        };
        $sheets["mask $kind"] = sheet_with($plate, ['effects' => [$fill], 'masks' => [$mask]]);
    }

    return [...$sheets, ...many($words, $photo, $fill)];
}

/**
 * What is drawn many times or of many parts.
 *
 * @return array<string, array<string, mixed>>
 */
function many(array $words, array $photo, array $fill): array
{
    $inks = ['#1f1d1a', '#c8452c', '#e9c46a', '#f3ead7'];
    $copies = fn (string $kind, float $width): array => ['placement' => ['x' => 6, 'y' => 6 - 5.8 + $width / 2, 'width' => $width, 'height' => null], 'repeat' => ['kind' => $kind, 'x' => 6, 'y' => 6, 'count' => 24, 'stepX' => 1, 'stepY' => 1]];
    $place = fn (int $i): array => ['x' => 3.5 + $i * 0.5, 'y' => 3.5 + $i * 0.5, 'width' => 6, 'height' => null, 'turn' => 6 * $i];
    $stack = sheet_with($photo, []);
    array_unshift($stack['layers'], ...array_map(fn (int $i): array => ['id' => "photo-$i", 'source' => $photo, 'placement' => $place($i), 'effects' => []], range(0, 8)));

    return [
        'four inks of a photo' => sheet_with($photo, ['effects' => [['kind' => 'halftone-inks', 'inks' => $inks]]]),
        'four inks of words' => sheet_with($words, ['effects' => [$fill, ['kind' => 'outline', 'width' => 0.05, 'colour' => '#e9c46a'], ['kind' => 'halftone-inks', 'inks' => $inks]]]),
        '24 radial copies of a photo' => sheet_with($photo, $copies('radial', 3.0)),
        '24 radial copies of words' => sheet_with($words, $copies('radial', 1.4) + ['effects' => [$fill, ['kind' => 'outline', 'width' => 0.05, 'colour' => '#e9c46a']]]),
        'quadrants of a photo' => sheet_with($photo, $copies('quadrants', 5.0)),
        'ten photos' => $stack,
    ];
}

function timed_lines(string $folder, string $wanted): void
{
    exec("convert -size 3600x3600 -seed 5 plasma:olive-orangered PNG24:$folder/photo.png");
    $bare = [];
    $over = 0;
    printf("%-26s %8s %8s %8s %10s\n", 'line', 'print s', 'own s', 'MB', 'proof ms');
    foreach (lines() as $name => $sheet) {
        if ($wanted !== '' && ! str_contains($name, $wanted)) {
            continue;
        }
        $plain = array_diff_key($sheet, ['distress' => 1]) + ['distress' => []];
        $last = count($plain['layers']) - 1;
        $plain['layers'][$last]['effects'] = array_values(array_filter($plain['layers'][$last]['effects'], fn (array $line): bool => $line['kind'] === 'fill'));
        $plain['layers'][$last] = array_diff_key($plain['layers'][$last], ['masks' => 1, 'repeat' => 1]);
        $plain['layers'] = array_slice($plain['layers'], -2);
        $bare[json_encode($plain)] ??= drawn($plain, $folder)[0];
        [$seconds, $memory] = drawn($sheet, $folder);
        $own = $seconds - $bare[json_encode($plain)];
        $proof = proof_of(json_encode($sheet), $folder);
        $isOver = $own > 3.0 || $memory > 600 || $proof > 300;
        $over += $isOver ? 1 : 0;
        printf("%-26s %8.2f %8.2f %8.0f %10.0f%s\n", $name, $seconds, $own, $memory, $proof, $isOver ? '   over' : '');
    }
    printf("%d over 3 s of their own, 600 MB or 300 ms\n", $over);
}

/** @return array{float, float} seconds and MB of a process of its own that draws the print and writes it */
function drawn(array $sheet, string $folder): array
{
    file_put_contents("$folder/line.json", json_encode($sheet));

    return process(__DIR__."/crow render $folder/line.json --out $folder/line.png", 1);
}

/** Milliseconds of a proof once another of the same line was drawn: the piece is moved a little. */
function proof_of(string $json, string $folder): float
{
    $pictures = new FolderPictures("$folder/kept");
    $artwork = ArtworkReader::json($json);
    $draw = function (float $by) use ($artwork, $folder, $pictures): float {
        $moved = $artwork->withLayer('piece', $artwork->layer('piece')->moved($by, 0.0));
        $start = microtime(true);
        (new Renderer(new FolderShelf($folder), $pictures))->picture($moved, Frame::sheet($moved->sheet, 60))->settled();

        return 1000 * (microtime(true) - $start);
    };
    $draw(0.0);

    return $draw(0.05);
}
