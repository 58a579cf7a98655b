<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Colour\Srgb;
use TallCrow\Export\PrintPng;
use TallCrow\Press\Press;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/** Shows a job, or a part of it, as a house would print it on a cloth: an opaque picture at the sheet's own ppi. */
final class PressCommand
{
    /** Pixels around a part that the drawing of its edges depends on. */
    private const RIM = 24;

    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->target('FILE.png');
        $told = $arguments->options('on')[0] ?? ($artwork->brief->garments[0] ?? null)?->colour->toHex() ?? throw UnusableCall::missing('--on "#1d2b1f", since the job names no cloth');
        $ppi = $artwork->sheet->ppi;
        $whole = Frame::sheet($artwork->sheet, $ppi->value);
        $part = $whole;
        if (($region = $arguments->option('region')) !== null) {
            $numbers = array_map(intval(...), explode(',', $region));
            $part = count($numbers) === 4 ? $whole->overlap(new Frame($ppi->value, $numbers[0], $numbers[1], max(1, $numbers[2]), max(1, $numbers[3]))) : null;
            $part ?? throw UnusableCall::region($region, $whole->width, $whole->height);
        }
        $wide = $part->grown(self::RIM);
        $art = (new Renderer($shelf, new NoPictures(Materials::kept())))->picture($artwork, $wide)->settled();
        $printed = Press::of($artwork->brief->method, Srgb::hex($told), $ppi->value)->printed($art, [$wide->left, $wide->top])->crop(self::RIM, self::RIM, $part->width, $part->height);
        PrintPng::write($printed, $target, $ppi, $artwork->title);
        fprintf($out, "%s: %d × %d px as printed on %s\n", $target, $part->width, $part->height, $told);

        return Crow::FINE;
    }
}
