<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Role;
use TallCrow\Asset\Shelf;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Effect\Retouches;
use TallCrow\Geometry\Box;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Render\Compositor;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;

/** A sheet that is checked, every line of which can be drawn, with the picture that came of it. */
final class SheetSubject
{
    /** @var array<string, array<string, Image>> what was found of each frame */
    private array $known = [];

    /** @var array<string, Standing> by cloth */
    private array $standing = [];

    /** @var array<int, Image> by ppi */
    private array $samples = [];

    /** @var array<int, ColourKeys> by ppi */
    private array $colours = [];

    public function __construct(
        public readonly Artwork $artwork,
        public readonly Renderer $renderer,
        public readonly Shelf $shelf,
        /** What the house asks for; where that is not known, the sheet's own. */
        public readonly PrintArea $area,
        public readonly PictureSubject $picture,
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
        return $this->known[$frame->key()] ??= $this->looked($frame);
    }

    /** What stands out of the finished picture on a cloth, looked at in so many pixels to the inch. */
    public function standing(Garment $garment, float $ppi): Standing
    {
        return $this->standing["{$garment->colour->toHex()} $ppi"] ??= Standing::of($this->sampled($ppi), $this->keys($ppi), $garment);
    }

    /** The finished picture, every so many of its pixels. */
    public function sampled(float $ppi): Image
    {
        return $this->samples[(int) $ppi] ??= $this->picture->picture->subsampled(max(1, (int) round($this->picture->ppi / $ppi)))->settled();
    }

    private function keys(float $ppi): ColourKeys
    {
        return $this->colours[(int) $ppi] ??= ColourKeys::of($this->sampled($ppi));
    }

    /** @return array<string, Image> */
    private function looked(Frame $frame): array
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

    /**
     * A piece of art as its retouching and masks leave it, before looks, rings and wear: upright, and as large as its own box.
     *
     * @param  float  $side  pixels of its longer side
     */
    public function upright(Layer $layer, float $side): ?Image
    {
        $placing = $this->renderer->placer->place($layer);
        if ($placing === null) {
            return null;
        }
        $own = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => is_a($line->is(), Retouches::class, true))))
            ->withDistress([])->withOpacity(1.0)->withRepeat(null)
            ->withPlacement(new Placement($placing->width / 2, $placing->height / 2, $placing->width, $placing->height, 0, Flip::None));
        $ppi = $side / max($placing->width, $placing->height);
        $frame = new Frame($ppi, 0, 0, max(4, (int) floor($placing->width * $ppi)), max(4, (int) floor($placing->height * $ppi)));
        $piece = $this->compositor()->piece($own, $frame);

        return $piece === null ? null : $piece->image->embed($piece->frame->left, $piece->frame->top, $frame->width, $frame->height)->settled();
    }

    public function compositor(): Compositor
    {
        return $this->renderer->compositor(fn (LayerTrouble $trouble): null => null, artwork: $this->artwork);
    }
}
