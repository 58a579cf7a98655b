<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Source;
use TallCrow\Artwork\SourceReader;
use TallCrow\Effect\Values;
use TallCrow\Render\Placer;

/**
 * Adds a layer on top of all others, in free space near the upper centre of the sheet; a layer without colours of its own gets a fill that contrasts with the
 * cloths.
 */
final readonly class AddPiece extends Operation
{
    /** @param  float  $share  its width as a fraction of the sheet's */
    public function __construct(public Source $source, public float $share) {}

    public static function name(): string
    {
        return 'add';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'source', 'share');

        return new self(SourceReader::read($node->child('source'), self::none(...)), $node->number('share', 0.01, 1, 0.4));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $sheet = $artwork->sheet->box();
        $id = Pieces::freshId($artwork);
        $layer = Layer::piece($id, $this->source, new Placement(
            round($sheet->centreX(), 4), round($sheet->height() / 3, 4), round($sheet->width() * $this->share, 4), null, 0.0, Flip::None,
        ));
        if (! $this->source->hasColours()) {
            $layer = $layer->withEffects([new EffectLine('fill', new Values(['colour' => NewInk::standingOut($artwork)]), true)]);
        }

        $layer = FreeSpace::placed(FreeSpace::fine($layer, $artwork, $placer), $artwork, $placer);

        return Edited::choosing($artwork->withLayers([...$artwork->layers, $layer]), [$id]);
    }

    /** @return list<Layer> */
    private static function none(Reading $group): array
    {
        if ($group->items('layers', 1) !== []) {
            $group->fault('a new group is made of layers that are there: use "group"', 'layers');
        }

        return [];
    }
}
