<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\ChecksSheet;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\PictureSubject;
use TallCrow\Preflight\SheetSubject;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

function subject_of(Artwork $artwork, float $ppi = 100): SheetSubject
{
    return new SheetSubject($artwork, Fixtures::renderer(), Fixtures::shelf(), $artwork->sheet->area(), picture_of(Fixtures::render($artwork, $ppi), $ppi, $artwork));
}

/**
 * What one gauge finds on a sheet whose files lie in a folder, by key.
 *
 * @param  list<array<string, mixed>>  $layers
 * @return array<string, Finding>
 */
function gauged_from(string $folder, ChecksSheet $check, array $layers, float $ppi = 100): array
{
    $artwork = Fixtures::artwork($layers);
    $shelf = Fixtures::shelf($folder);
    $subject = new SheetSubject($artwork, Fixtures::renderer($shelf), $shelf, $artwork->sheet->area(), picture_of(Fixtures::render($artwork, $ppi, $folder), $ppi, $artwork));
    $found = $check->sheet($subject);

    return array_combine(array_map(fn (Finding $finding): string => $finding->key, $found), $found);
}

function picture_of(Image $picture, float $ppi, ?Artwork $artwork = null): PictureSubject
{
    return new PictureSubject($picture, $ppi, $artwork?->brief->garments ?? [], HouseRule::Strict300, PrintArea::pixels('sheet', $picture->width(), $picture->height(), Ppi::of($ppi)));
}

/** @return array<string, Finding> what one gauge finds, by key */
function gauged(ChecksSheet $check, Artwork $artwork, float $ppi = 100): array
{
    $found = $check->sheet(subject_of($artwork, $ppi));

    return array_combine(array_map(fn (Finding $finding): string => $finding->key, $found), $found);
}

/** @return array<string, mixed> a plate by its edges, in inches */
function ink_slab(string $id, float $left, float $top, float $right, float $bottom, string $colour = '#f3ead7', array $more = []): array
{
    return array_replace_recursive(Fixtures::shape($id, 'rectangle', $right - $left, $colour, ['placement' => ['x' => ($left + $right) / 2, 'y' => ($top + $bottom) / 2, 'height' => $bottom - $top]]), $more);
}
