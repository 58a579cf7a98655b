<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;

/**
 * A scene for listing pictures, read from a file in the folder scenes: docs/scene-format.md. Adding a file there adds a scene. Random choices
 * follow from a seed.
 */
final readonly class SceneSheet
{
    public const FORMAT = 'tallcrow.scene/1';

    private const FIRST = 'plain';

    /** @param  list<Strewn>  $strewn */
    private function __construct(
        public string $slug,
        public string $name,
        public SceneView $view,
        /** Greatest rotation of the garment in degrees, either way. */
        public float $turn,
        /** Strength of the folds; 1 is natural. */
        public float $folds,
        public Ground $ground,
        public array $strewn,
    ) {}

    /** @return array<string, self> by slug, the plain one first */
    public static function all(): array
    {
        static $all = null;
        if ($all === null) {
            $all = [];
            foreach (glob(__DIR__.'/scenes/*.json') ?: [] as $file) {
                $slug = basename($file, '.json');
                $all[$slug] = self::read($slug, json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR));
            }
            uksort($all, fn (string $a, string $b): int => [$a !== self::FIRST, $a] <=> [$b !== self::FIRST, $b]);
        }

        /** @var array<string, self> */
        return $all;
    }

    public static function plain(): self
    {
        return self::all()[self::FIRST];
    }

    private static function read(string $slug, mixed $data): self
    {
        $faults = new Faults;
        $root = Node::root($data, $faults)->knows('format', 'name', 'view', 'turn', 'folds', 'ground', 'strewn');
        $root->word('format', [self::FORMAT]);
        $sheet = new self(
            $slug, $root->text('name', 60), $root->choice('view', SceneView::class, SceneView::Whole), $root->number('turn', 0, 30, 0), $root->number('folds', 0, 2, 1), $root->choice('ground', Ground::class, Ground::Plain),
            array_map(self::strewn(...), $root->items('strewn', 10)),
        );
        $faults->settle();

        return $sheet;
    }

    private static function strewn(Reading $node): Strewn
    {
        $node = $node->knows('shape', 'count', 'least', 'most', 'colours');
        $colours = array_map(Srgb::hex(...), $node->inkColours('colours', 1, 12, ['#808080']));

        return new Strewn($node->choice('shape', StrewnShape::class, StrewnShape::Leaf), $node->integer('count', 1, 200), $node->number('least', 0.005, 0.3), $node->number('most', 0.005, 0.3), $colours === [] ? [Srgb::of(128, 128, 128)] : $colours);
    }
}
