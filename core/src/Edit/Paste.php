<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LayerReader;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/**
 * Inserts copied layers, from this sheet or another, on top of all others. Named colours that the sheet lacks are added; references
 * to layers that are neither copied nor on this sheet are removed.
 */
final readonly class Paste extends Operation
{
    /** Offset of copies from their originals in inches. */
    private const BESIDE = 0.15;

    /**
     * @param  list<Layer>  $layers
     * @param  list<array{name: string, colour: string}>  $swatches
     */
    public function __construct(public array $layers, public array $swatches) {}

    public static function name(): string
    {
        return 'paste';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'layers', 'swatches');

        return new self(LayerReader::ofAnySwatch(Pieces::MOST)->layers($node, 'layers'), Renaming::swatches($node));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->layers === []) {
            throw EditRefused::nothingCopied();
        }
        $isHere = array_filter($this->layers, fn (Layer $layer): bool => $artwork->layer($layer->id) !== null) !== [];
        $by = $isHere ? self::BESIDE : 0.0;
        $pasted = array_map(fn (Layer $layer): Layer => $layer->moved($by, $by), Renaming::fresh($this->layers, $artwork));

        return Edited::choosing(
            Renaming::naming($artwork, $this->swatches)->withLayers([...$artwork->layers, ...$pasted]),
            array_map(fn (Layer $layer): string => $layer->id, $pasted),
        );
    }
}
