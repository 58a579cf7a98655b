<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Cli\Materials;
use TallCrow\Cli\TrialCase;
use TallCrow\Edit\Operations;
use TallCrow\Geometry\Box;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Placer;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** @return list<string> files of the trial set that are sheets */
function sheets_of_the_trial(): array
{
    $cases = array_map(basename(...), glob(__DIR__.'/trial/*.json') ?: []);

    return array_values(array_filter($cases, fn (string $file): bool => isset(json_decode((string) file_get_contents(__DIR__."/trial/$file"), true)['sheet'])));
}

/**
 * The gauges' readings of the sheets of the trial set, each looked over once. Where a gauge is meant to read otherwise,
 * READINGS=write vendor/bin/pest core/tests/Preflight/MendsTest.php writes them anew: read what has changed before you commit it.
 */
const READINGS = __DIR__.'/../fixtures/readings';

/** @return list<string> each finding in a line: places in hundredths of an inch, operations to a thousandth */
function readings_of(Report $report): array
{
    $rounded = fn (string $json): string => (string) preg_replace_callback('/-?\d+\.\d{3,}/', fn (array $number): string => (string) round((float) $number[0], 3), $json);

    return array_map(fn (Finding $finding): string => implode(' | ', [
        $finding->key, $finding->verdict->value, $finding->figure, $finding->limit, $finding->says,
        ...array_map(fn (Box $box): string => sprintf('at %.2f, %.2f: %.2f × %.2f', $box->left, $box->top, $box->width(), $box->height()), $finding->where),
        ...array_map(fn (Mend $mend): string => $rounded((string) json_encode($mend->toArray(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)), $finding->mends),
    ]), $report->findings);
}

/** @return array<string, string> what does not hold, by key */
function faults_of(Report $report): array
{
    $faults = array_filter($report->findings, fn (Finding $finding): bool => $finding->verdict !== Verdict::Pass);

    return array_combine(array_map(fn (Finding $finding): string => $finding->key, $faults), array_map(fn (Finding $finding): string => $finding->figure, $faults));
}

/**
 * What a mend did otherwise than it says, measured on the sheet before and after; nothing where it did just that.
 *
 * @param  list<string>  $of  ids of the pieces that the finding is about
 */
function done_otherwise(string $says, array $of, Artwork $before, Artwork $after, Placer $placer): string
{
    $is = fn (bool $held, string $otherwise): string => $held ? '' : "$says: $otherwise";
    $named = fn (string $name): Layer => array_values(array_filter([...$before->everyLayer()], fn (Layer $layer): bool => $layer->called() === $name && ($of === [] || in_array($layer->id, $of, true))))[0];
    $wide = fn (Artwork $in, string $id): float => $placer->place($in->layer($id))->width ?? NAN;
    $colours = fn (Layer $layer, string $kind): array => array_map(fn (EffectLine $line): string => $line->values->word('colour'), array_values(array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && $line->kind === $kind)));
    if (preg_match('/^Set (.+) (\d+) % larger$/u', $says, $found) === 1) {
        $id = $named($found[1])->id;
        $by = $wide($after, $id) / $wide($before, $id);

        return $is(abs($by - 1 - (int) $found[2] / 100) < 0.011, sprintf('%.3f times', $by));
    }
    if (preg_match('/^Set (.+) (\d+) % smaller, on the ink$/u', $says, $found) === 1) {
        $id = $named($found[1])->id;
        $by = $wide($after, $id) / $wide($before, $id);

        return $is(abs(1 - $by - (int) $found[2] / 100) < 0.006 && $placer->box($after->layer($id))->union($placer->box($after->layers[0])) == $placer->box($after->layers[0]), sprintf('%.3f times', $by));
    }
    if (preg_match('/^Print it ([\d.]+) in wide$/', $says, $found) === 1) {
        return $is(abs($wide($after, $of[0]) - (float) $found[1]) < 0.006, sprintf('%.3f in', $wide($after, $of[0])));
    }
    if (preg_match('/^Move it ([\d.]+) in (left|right|up|down)$/', $says, $found) === 1) {
        [$from, $to] = [$placer->box($before->layer($of[0])), $placer->box($after->layer($of[0]))];
        $by = in_array($found[2], ['left', 'right'], true) ? $to->centreX() - $from->centreX() : $to->centreY() - $from->centreY();

        return $is(abs($by - (float) $found[1] * (in_array($found[2], ['left', 'up'], true) ? -1 : 1)) < 0.001, sprintf('%.3f in', $by));
    }
    if (preg_match('/^Embolden (.+) by ([\d.]+) in$/u', $says, $found) === 1) {
        $id = $named($found[1])->id;
        $by = ($placer->reach($after->layer($id))->width() - $placer->reach($before->layer($id))->width()) / 2;

        return $is(abs($by - (float) $found[2]) < 0.001, sprintf('%.4f in', $by));
    }
    if (preg_match('/^(Edge|Print) (.+) in (#[0-9a-f]{6})( at full strength)?$/u', $says, $found) === 1) {
        $layer = $after->layer($named($found[2])->id);

        return $is(isset($found[4]) === ($named($found[2])->opacity < 1) && $layer->opacity === 1.0 && in_array($found[3], $colours($layer, $found[1] === 'Edge' ? 'outline' : 'fill'), true), 'no such colour');
    }
    if ($says === 'Take out that line' || str_starts_with($says, 'Take out the line that clears ')) {
        return $is(count($after->layer($of[0])->effects) === count($before->layer($of[0])->effects) - 1, 'as many lines as before');
    }
    if (preg_match('/^Take out (.+)$/u', $says, $found) === 1) {
        return $is($after->layer($named($found[1])->id) === null && count([...$after->everyLayer()]) < count([...$before->everyLayer()]), 'still there');
    }
    if (preg_match('/^(?:Narrow the gap of (.+) to ([\d.]+) in|Leave no gap about (.+))$/u', $says, $found) === 1) {
        $role = $after->layer($named($found[3] ?? $found[1])->id)->role;

        return $is(! $role->prints() && abs($role->gap - (float) $found[2]) < 0.001, sprintf('%.3f in', $role->gap));
    }
    if (preg_match('/^Move (.+) onto the ink$/u', $says, $found) === 1) {
        $id = $named($found[1])->id;
        [$from, $to] = [$placer->box($before->layer($id)), $placer->box($after->layer($id))];

        return $is(abs($to->width() - $from->width()) < 0.001 && abs($to->height() - $from->height()) < 0.001 && ! $to->intersection($placer->box($after->layers[0]))->isEmpty(), 'not moved alone');
    }
    if ($says !== 'Move all of it to the middle' && preg_match('/^Move (.+) to the middle$/u', $says, $found) === 1) {
        $off = $placer->box($after->layer($named($found[1])->id))->centreX() - $after->sheet->box()->centreX();

        return $is(abs($off) < 0.001 && abs($off) < abs($placer->box($named($found[1]))->centreX() - $before->sheet->box()->centreX()), sprintf('%.3f in off', $off));
    }
    if (preg_match('/^Bring (.+) to the top$/u', $says, $found) === 1) {
        return $is(in_array($named($found[1])->id, array_map(fn (Layer $layer): string => $layer->id, $after->layers[count($after->layers) - 1]->everyLayer()), true), 'not the last');
    }
    if (preg_match('/^Bring (.+) inside$/u', $says, $found) === 1) {
        [$box, $sheet] = [$placer->box($after->layer($named($found[1])->id)), $after->sheet->box()];

        return $is($box->left > 0 && $box->top > 0 && $box->right < $sheet->right && $box->bottom < $sheet->bottom, 'beyond the edge');
    }
    if (preg_match('/^Leave (.+) out$/u', $says, $found) === 1) {
        $names = fn (Artwork $in): array => array_map(fn (Garment $garment): string => $garment->name, $in->brief->garments);

        return $is(array_values(array_diff($names($before), $names($after))) === [$found[1]], 'other cloths went');
    }
    if (preg_match('/^Refit to (\d+) × (\d+) px$/u', $says, $found) === 1) {
        return $is([$after->sheet->width, $after->sheet->height] === [(int) $found[1], (int) $found[2]], "{$after->sheet->width} × {$after->sheet->height}");
    }

    // What these do is seen by the gauge that is gone.
    $others = '/^(Clear it from|Clear what it encloses|Set .+ the right way round|Even out its light|Take its edge|Tidy |Fade its edge|Tear its edge|Carry it on|Stand it on|Print the fade|Print .+ at full|Give .+ a hard|Put the lines|Write |Set .+ to the capitals|Wear to|Shield |Move all of it)/u';

    return $is(preg_match($others, $says) === 1, 'nobody measures that');
}

it('tells what is wrong with a sheet and nothing else, and mends what it says without any other fault', function (string $file): void {
    $case = TrialCase::read(__DIR__."/trial/$file");
    $artwork = $case->artwork ?? throw new LogicException("$file has no sheet.");
    $shelf = new ManyShelves([new FolderShelf(__DIR__.'/trial'), new FolderShelf(Fixtures::assets())]);
    // What a mend leaves as it was is drawn once, as on the bench.
    $renderer = new Renderer($shelf, new FolderPictures(Fixtures::temporary('mends'), materials: Materials::kept()));
    $before = $case->report($renderer, $shelf);
    foreach ($case->judged($before) as [$key, $expected, $isTold]) {
        expect($isTold)->toBe($expected, $key);
    }
    // As it is kept, it is read again with every mend.
    $written = json_encode($before->toArray(), JSON_THROW_ON_ERROR);
    expect(json_encode(Report::read(json_decode($written, true))->toArray()))->toBeJson()->toEqual($written);
    $readings = readings_of($before);
    foreach ($before->findings as $finding) {
        foreach ($finding->verdict === Verdict::Pass ? [] : $finding->mends as $mend) {
            $mended = Operations::apply($mend->operations, $artwork, $renderer->placer)->artwork;
            $after = faults_of(Preflight::artwork($mended, $renderer, $shelf));
            expect(done_otherwise($mend->says, $finding->layers, $artwork, $mended, $renderer->placer))->toBe('')
                ->and($after)->not->toHaveKey($finding->key, $mend->says)
                ->and(array_diff_key($after, faults_of($before)))->toBe([], $mend->says);
            $readings[] = "$mend->says, then: ".urldecode(http_build_query($after, arg_separator: ', '));
        }
    }
    if (getenv('READINGS') === 'write') {
        file_put_contents(READINGS."/$file", json_encode($readings, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
    }
    expect($before->findings)->not->toBe([])->and($readings)->toBe(json_decode((string) file_get_contents(READINGS."/$file"), true));
})->with(fn (): array => sheets_of_the_trial());
