<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Export\PrintPng;
use TallCrow\Gang\GangCut;
use TallCrow\Gang\GangPiece;
use TallCrow\Gang\GangPrint;
use TallCrow\Gang\GangSheet;
use TallCrow\Gang\MaxRects;
use TallCrow\Measure\Ppi;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;

/**
 * Lays copies of several designs on film: writes one PNG for each sheet and reports progress as JSON, one object per line. The list is a
 * JSON file: film (width, length or null, gap, margin; inches), ppi, mirrored, marks, pieces (sheet: path, name, width of the ink or null, count,
 * turns).
 */
final class GangCommand
{
    private const MOST_PIECES = 200;

    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$folder, $scratch] = [$arguments->folder('out'), $arguments->folder('scratch', 0o700)];
        $folders = array_map(fn (string $one): FolderShelf => new FolderShelf($one), $arguments->options('shelf'));
        $shelf = new ManyShelves($folders === [] ? throw UnusableCall::missing('--shelf FOLDER') : $folders);
        $file = $arguments->operand('the list, a JSON file');
        is_file($file) || throw UnusableCall::file($file);
        $faults = new Faults;
        $list = Node::root(json_decode((string) file_get_contents($file), true), $faults)->knows('film', 'ppi', 'mirrored', 'marks', 'pieces');
        $film = self::film($list->child('film'));
        $ppi = Ppi::of($list->number('ppi', 50, 600, 300));
        [$mirrored, $marks] = [$list->flag('mirrored', true), $list->flag('marks', true)];
        $asked = array_map(self::piece(...), $list->items('pieces', self::MOST_PIECES));
        $faults->settle();

        $renderer = new Renderer($shelf, new FolderPictures($scratch));
        $pieces = $pictures = [];
        foreach ($asked as $i => $one) {
            self::say($out, ['piece' => $i + 1, 'of' => count($asked), 'name' => $one['name']]);
            $cut = GangCut::of(self::sheet($one['sheet']), $one['width'], $ppi, $renderer);
            $pictures[] = $renderer->picture($cut, Frame::sheet($cut->sheet, $ppi->value))->settled();
            $pieces[] = new GangPiece($one['name'], $cut->sheet->box()->width(), $cut->sheet->box()->height(), $one['count'], $one['turns']);
        }
        $layout = MaxRects::layout($pieces, $film);
        $sheets = [];
        foreach (GangPrint::sheets($layout, $pictures, $ppi, $marks) as $i => $sheet) {
            self::say($out, ['sheet' => $i + 1, 'of' => count($layout->lengths)]);
            $path = sprintf('%s/film-%d.png', $folder, $i + 1);
            PrintPng::write($mirrored ? $sheet->mirroredAcross() : $sheet, $path, $ppi, 'Film '.($i + 1));
            $sheets[] = ['file' => basename($path), 'width' => $sheet->width(), 'height' => $sheet->height(), 'inches' => [$film->width, $layout->lengths[$i]], 'bytes' => (int) filesize($path), 'sha256' => (string) hash_file('sha256', $path)];
        }
        self::say($out, ['done' => ['sheets' => $sheets, 'area' => $layout->area(), 'bound' => $layout->bound(), 'waste' => $layout->waste()]]);

        return Crow::FINE;
    }

    private static function sheet(string $file): Artwork
    {
        is_file($file) || throw UnusableCall::file($file);
        try {
            return ArtworkReader::json((string) file_get_contents($file));
        } catch (ArtworkInvalid $invalid) {
            throw UnusableCall::artwork($file, $invalid);
        }
    }

    private static function film(Reading $node): GangSheet
    {
        $node = $node->knows('width', 'length', 'gap', 'margin');

        return new GangSheet($node->number('width', 1, 100), $node->isNull('length') ? null : $node->number('length', 1, 400), $node->number('gap', 0, 5, 0.25), $node->number('margin', 0, 5, 0.25));
    }

    /** @return array{sheet: string, name: string, width: ?float, count: int, turns: bool} */
    private static function piece(Reading $node): array
    {
        $node = $node->knows('sheet', 'name', 'width', 'count', 'turns');

        return ['sheet' => $node->text('sheet', 1000), 'name' => $node->text('name', 200, ''), 'width' => $node->isNull('width') ? null : $node->number('width', 0.1, 100), 'count' => $node->integer('count', 1, MaxRects::MOST), 'turns' => $node->flag('turns', true)];
    }

    /**
     * @param  resource  $out
     * @param  array<string, mixed>  $what
     */
    private static function say(mixed $out, array $what): void
    {
        fwrite($out, json_encode($what, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)."\n");
        fflush($out);
    }
}
