<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\Shelf;
use TallCrow\Geometry\Box;
use TallCrow\Measure\PrintArea;
use TallCrow\Render\Compositor;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;

/** A sheet that is checked, every line of which can be drawn, with the picture that came of it. */
final readonly class SheetSubject
{
    public function __construct(
        public Artwork $artwork,
        public Renderer $renderer,
        public Shelf $shelf,
        /** What the house asks for; where that is not known, the sheet's own. */
        public PrintArea $area,
        public PictureSubject $picture,
    ) {}

    public function reach(string $id): ?Box
    {
        $layer = $this->artwork->layer($id);

        return $layer === null ? null : $this->renderer->placer->reach($layer);
    }

    public function compositor(): Compositor
    {
        return $this->renderer->compositor(fn (LayerTrouble $trouble): null => null, artwork: $this->artwork);
    }
}
