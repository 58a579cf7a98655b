<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Export\Exporter;
use TallCrow\Export\FileKind;
use TallCrow\Export\PrintForm;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Demands;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;

/**
 * Makes a print file with its checks and reports progress as JSON, one object per line: `{"layer": 2, "of": 9, "name": "…"}`,
 * `{"stage": "write"}`, at the end `{"done": {…figures}}`. For a caller that runs it as a separate process, which it can end at any time.
 */
final class PrintCommand
{
    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->target('FILE.png');
        $scratch = $arguments->folder('scratch', 0o700);
        $demands = NamedHouse::demands($arguments);
        [$materials, $shared] = [Materials::kept($arguments->option('materials')), $arguments->option('pieces')];
        $done = Exporter::export($artwork, $shelf, $target, $scratch, new PrintedProgress($out), self::area($arguments->option('area')), $materials, self::form($arguments), $demands === null ? null : fn (Renderer $renderer): Demands => $demands($artwork, $renderer), $shared === null ? null : new FolderPictures($shared, materials: $materials));
        PrintedProgress::say($out, ['done' => $done->toArray()]);

        return Crow::FINE;
    }

    private static function form(Arguments $arguments): PrintForm
    {
        $kind = FileKind::tryFrom($arguments->option('kind') ?? 'png') ?? throw UnusableCall::missing('--kind png, tiff, pdf, ora or svg');
        $most = $arguments->option('most-bytes');

        return new PrintForm($kind, $arguments->option('mirrored') === 'yes', $most === null ? null : (int) $most, $arguments->option('fewer-colours') === 'yes', is_numeric($arguments->option('cut')) ? max(0.0, (float) $arguments->option('cut')) : null);
    }

    private static function area(?string $text): ?PrintArea
    {
        if ($text === null) {
            return null;
        }
        $parts = explode(',', $text, 4);
        if (count($parts) !== 4 || ! is_numeric($parts[0]) || ! is_numeric($parts[1]) || ! is_numeric($parts[2])) {
            throw UnusableCall::area($text);
        }

        return PrintArea::pixels($parts[3], (int) $parts[0], (int) $parts[1], Ppi::of((float) $parts[2]));
    }
}
