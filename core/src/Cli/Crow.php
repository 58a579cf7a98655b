<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Schema\ArtworkSchema;
use TallCrow\Asset\PictureReader;
use TallCrow\Colour\Srgb;
use TallCrow\Export\PngFacts;
use TallCrow\Export\PrintPng;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Length;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Resolution;
use TallCrow\Pack\JobPack;
use TallCrow\Pack\PackedFile;
use TallCrow\Pack\Terms;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/** The command line: render, print, preflight, trial, pack, unpack, inspect, mend. Exit codes: 0 fine, 1 checks failed, 2 unusable input. */
final class Crow
{
    public const FINE = 0;

    public const FAILED = 1;

    public const UNUSABLE = 2;

    private const HELP = <<<'TEXT'
        bin/crow render JOB --out FILE.png [--shelf FOLDER ...] [--ppi N] [--region X,Y,W,H]
        bin/crow series JOB --pattern SLOTS.json --rows LIST.csv --out FOLDER [--workers N] [--check] [--shelf FOLDER ...]
        bin/crow gang LIST.json --out FOLDER --scratch FOLDER --shelf FOLDER ...
        bin/crow listing JOB --out FILE.jpg [--on '#rrggbb'] [--scene NAME] [--seed N] [--materials FOLDER] [--shelf FOLDER ...]
        bin/crow print JOB --out FILE.png --scratch FOLDER [--pieces FOLDER] [--materials FOLDER] [--area W,H,PPI,NAME] [--kind png|tiff|pdf|ora|svg] [--mirrored yes] [--most-bytes N] [--fewer-colours yes] [--cut INCHES] [--house FILE.json --place PRODUCT/PLACE] [--shelf FOLDER ...]
        bin/crow preflight JOB [--area W,H] [--house FILE.json --place PRODUCT/PLACE] [--shelf FOLDER ...] [--json]
        bin/crow trial FOLDER [--shelf FOLDER ...]
        bin/crow pack ARTWORK.json --out FILE.crow [--shelf FOLDER ...]
        bin/crow unpack FILE.crow --out FOLDER
        bin/crow schema --out FILE.json
        bin/crow inspect FILE.png [--width 10in] [--on "#1d2b1f"] [--rule strict-300|accept-200] [--area W,H] [--json]
        bin/crow press JOB --on "#1d2b1f" --out FILE.png [--region X,Y,W,H] [--shelf FOLDER ...]
        bin/crow mend FILE.png --out RIGHT.png (--ppi N | --width 10in)

        A job is an artwork (.json) or a whole job in one file (.crow). Fonts and pictures are found beside the artwork,
        or in the folders of --shelf, the first that has them. A region is in pixels of the picture at its ppi.
        Fields of wear and papers that were made are kept in $XDG_CACHE_HOME/tall-crow or ~/.cache/tall-crow.
        Exit codes: 0 fine, 1 checks failed, 2 unusable input.
        TEXT;

    /**
     * @param  list<string>  $words  without the program's own name
     * @param  resource  $out
     * @param  resource  $error
     */
    public static function run(array $words, mixed $out, mixed $error): int
    {
        try {
            $arguments = Arguments::read($words, ['out', 'ppi', 'region', 'width', 'on', 'rule', 'shelf', 'scratch', 'area', 'materials', 'pieces', 'kind', 'mirrored', 'most-bytes', 'fewer-colours', 'cut', 'house', 'place', 'scene', 'seed', 'pattern', 'rows', 'workers', 'share', 'told'], ['check', 'json', 'help']);
            if ($arguments->flag('help') || $arguments->command === '') {
                fwrite($out, self::HELP."\n");

                return self::FINE;
            }

            return match ($arguments->command) {
                'render' => self::render($arguments, $out),
                'print' => PrintCommand::run($arguments, $out),
                'preflight' => self::preflight($arguments, $out),
                'pack' => self::pack($arguments, $out),
                'unpack' => self::unpack($arguments, $out),
                'schema' => self::schema($arguments, $out),
                'inspect' => self::inspect($arguments, $out),
                'mend' => self::mend($arguments, $out),
                'trial' => TrialCommand::run($arguments, $out),
                'press' => PressCommand::run($arguments, $out),
                'series' => SeriesCommand::run($arguments, $out),
                'gang' => GangCommand::run($arguments, $out),
                'listing' => ListingCommand::run($arguments, $out),
                default => throw UnusableCall::command($arguments->command, self::commands()),
            };
        } catch (\RuntimeException|\DomainException|\InvalidArgumentException $unusable) {
            fwrite($error, 'crow: '.str_replace("\n", ' ', $unusable->getMessage())."\n");

            return self::UNUSABLE;
        }
    }

    /** @return list<string> as listed in the help */
    private static function commands(): array
    {
        preg_match_all('~^\s*bin/crow (\w+)~m', self::HELP, $found);

        return $found[1];
    }

    /** @param  resource  $out */
    private static function render(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->target('FILE.png');
        $ppi = Ppi::of((float) ($arguments->option('ppi') ?? $artwork->sheet->ppi->value));
        $frame = Frame::sheet($artwork->sheet, $ppi->value);
        if (($region = $arguments->option('region')) !== null) {
            $numbers = array_map(intval(...), explode(',', $region));
            if (count($numbers) !== 4 || ($part = $frame->overlap(new Frame($ppi->value, $numbers[0], $numbers[1], max(0, $numbers[2]), max(0, $numbers[3])))) === null) {
                throw UnusableCall::region($region, $frame->width, $frame->height);
            }
            $frame = $part;
        }
        $picture = (new Renderer($shelf, new NoPictures(Materials::kept())))->picture($artwork, $frame);
        PrintPng::write($picture, $target, $ppi, $artwork->title);
        fprintf($out, "%s: %d × %d px, %s ppi, %.2f × %.2f in\n", $target, $frame->width, $frame->height, $ppi->value, $frame->width / $ppi->value, $frame->height / $ppi->value);

        return self::FINE;
    }

    /** @param  resource  $out */
    private static function preflight(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);

        $renderer = new Renderer($shelf, new NoPictures(Materials::kept()));
        $demands = NamedHouse::demands($arguments);

        return self::told(Preflight::artwork($artwork, $renderer, $shelf, self::area($arguments, $artwork->sheet->ppi->value), demands: $demands === null ? null : $demands($artwork, $renderer)), $arguments->flag('json'), [], $out);
    }

    /** The print area given in pixels. */
    private static function area(Arguments $arguments, float $ppi): ?PrintArea
    {
        $told = $arguments->option('area');
        if ($told === null) {
            return null;
        }
        $numbers = explode(',', $told);
        if (count($numbers) < 2 || (int) $numbers[0] < 1 || (int) $numbers[1] < 1) {
            throw UnusableCall::area($told);
        }

        return PrintArea::pixels($numbers[3] ?? '', (int) $numbers[0], (int) $numbers[1], Ppi::of(isset($numbers[2]) ? (float) $numbers[2] : $ppi));
    }

    /**
     * Rewrites a file in the form that print houses accept: 8-bit RGBA in sRGB, not interlaced, its ppi stated, no colour under clear pixels.
     *
     * @param  resource  $out
     */
    private static function mend(Arguments $arguments, mixed $out): int
    {
        $file = $arguments->operand('a PNG file');
        $target = $arguments->target('FILE.png');
        if (! is_file($file)) {
            throw UnusableCall::file($file);
        }
        $facts = PngFacts::of($file);
        $picture = PictureReader::check($file);
        $width = $arguments->option('width');
        $ppi = match (true) {
            $arguments->option('ppi') !== null => (float) $arguments->option('ppi'),
            $width !== null => Resolution::effective((int) $picture->width, Length::parse($width, Ppi::of($facts->ppi ?? 300))),
            default => throw UnusableCall::missing('--ppi N or --width 10in, so that the right ppi can be stated'),
        };
        PrintPng::write($picture->pixels()->settled(), $target, Ppi::of($ppi), '');
        fprintf($out, "%s: %d × %d px, %s ppi, 8-bit sRGB\n", $target, (int) $picture->width, (int) $picture->height, round($ppi, 2));

        return self::FINE;
    }

    /** @param  resource  $out */
    private static function pack(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->target('FILE.crow');
        $terms = ShelfTerms::of($arguments->options('shelf'));
        $files = array_map(fn (string $name): PackedFile => new PackedFile($name, $shelf->path($name), $terms[$name] ?? new Terms), $artwork->files());
        JobPack::write($artwork, $files, (new Renderer($shelf, new NoPictures(Materials::kept())))->picture($artwork, Frame::sheet($artwork->sheet, JobPack::previewPpi($artwork->sheet))), $target);
        fprintf($out, "%s: %s with %d files, %d bytes\n", $target, $artwork->title, count($files), filesize($target));

        return self::FINE;
    }

    /** @param  resource  $out */
    private static function unpack(Arguments $arguments, mixed $out): int
    {
        $file = $arguments->operand('a job file');
        $folder = $arguments->folder('out');
        if ((glob($folder.'/*') ?: []) !== []) {
            throw UnusableCall::notEmpty($folder);
        }
        [$artwork, $files] = JobPack::unpack($file, $folder);
        ShelfTerms::write($folder, $files);
        fprintf($out, "%s: %s with %d files\n", $folder, $artwork->title, count($files));

        return self::FINE;
    }

    /**
     * Writes the JSON Schema of the artwork format, as docs/artwork.schema.json keeps it.
     *
     * @param  resource  $out
     */
    private static function schema(Arguments $arguments, mixed $out): int
    {
        $target = $arguments->target('FILE.json');
        $json = json_encode(ArtworkSchema::file(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        if (file_put_contents($target, $json) !== strlen($json)) {
            throw UnusableCall::unwritable($target);
        }
        fprintf($out, "%s: schema of %s\n", $target, Artwork::FORMAT);

        return self::FINE;
    }

    /** @param  resource  $out */
    private static function inspect(Arguments $arguments, mixed $out): int
    {
        $file = $arguments->operand('a PNG file');
        if (! is_file($file)) {
            throw UnusableCall::file($file);
        }
        $facts = PngFacts::of($file);
        $picture = PictureReader::check($file);
        if ($picture->type !== PictureType::Png) {
            throw UnusableCall::file($file);
        }
        $ppi = $facts->ppi;
        $width = $arguments->option('width');
        $printed = $width === null ? null : Length::parse($width, Ppi::of($ppi ?? 300));
        $effective = $printed === null ? ($ppi ?? throw UnusableCall::missing('--width, since the file states no ppi')) : Resolution::effective((int) $picture->width, $printed);
        $garments = array_map(fn (string $hex): Garment => new Garment($hex, Srgb::hex($hex)), $arguments->options('on'));
        $rule = HouseRule::tryFrom($arguments->option('rule') ?? 'strict-300') ?? throw UnusableCall::rule((string) $arguments->option('rule'));
        $figures = [
            'width' => (int) $picture->width,
            'height' => (int) $picture->height,
            'stated_ppi' => $ppi,
            'effective_ppi' => round($effective, 2),
            'printed_inches' => [round($picture->width / $effective, 3), round($picture->height / $effective, 3)],
        ];

        return self::told(Preflight::picture($picture->pixels()->settled(), $effective, $garments, $rule, $facts, self::area($arguments, $effective)), $arguments->flag('json'), $figures, $out);
    }

    /**
     * @param  array<string, int|float|null|list<float>>  $figures
     * @param  resource  $out
     */
    private static function told(Report $report, bool $json, array $figures, mixed $out): int
    {
        if ($json) {
            fwrite($out, json_encode($figures + $report->toArray(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
        } else {
            foreach ($figures as $name => $value) {
                fprintf($out, "     %s: %s\n", str_replace('_', ' ', $name), is_array($value) ? implode(' × ', $value) : ($value ?? 'none'));
            }
            foreach ($report->findings as $finding) {
                fprintf($out, "%-4s %s: %s (limit %s). %s\n", $finding->verdict->value, $finding->word, $finding->figure, $finding->limit, $finding->says);
            }
        }

        return $report->verdict() === Verdict::Fail ? self::FAILED : self::FINE;
    }
}
