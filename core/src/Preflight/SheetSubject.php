<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Role;
use TallCrow\Asset\Shelf;
use TallCrow\Geometry\Box;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Render\Compositor;
use TallCrow\Render\Frame;
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

    /**
     * Where each layer of the sheet is seen: its own ink, less what lies over it. One band over the whole frame, the topmost first.
     *
     * @return array<string, Image>
     */
    public function seen(Frame $frame): array
    {
        $compositor = $this->compositor();
        $covered = Image::empty($frame->width, $frame->height, 1);
        $seen = [];
        foreach (array_reverse($this->artwork->layers) as $layer) {
            $piece = $layer->on && $layer->role->prints() ? $compositor->piece($layer->withRole(Role::ink()), $frame) : null;
            if ($piece === null) {
                continue;
            }
            $own = $piece->image->alpha()->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->isMore(127.0)->settled();
            $seen[$layer->id] = $own->both($covered->inverted())->settled();
            $covered = $covered->either($own)->settled();
        }

        return $seen;
    }

    public function compositor(): Compositor
    {
        return $this->renderer->compositor(fn (LayerTrouble $trouble): null => null, artwork: $this->artwork);
    }
}
