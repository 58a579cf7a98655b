<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\ShapeSource;
use TallCrow\Artwork\TextSource;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Inking;
use TallCrow\Effect\Inks;
use TallCrow\Effect\SetsType;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Measure\Length;
use TallCrow\Measure\Resolution;
use TallCrow\Type\Letter;
use TallCrow\Type\Typesetter;

/** Works out how layers lie on the sheet: words set, bent and sized; pictures placed. */
final class Placer
{
    /** Inches by which a chord of a bent curve may stray: 0.15 px at 300 ppi, so that no facet shows. */
    public const TOLERANCE = 0.0005;

    /** @var array<string, ?Placing> */
    private array $known = [];

    public function __construct(private readonly Shelf $shelf) {}

    /** null where there is nothing to see: blank words, or a group. */
    public function place(Layer $layer): ?Placing
    {
        $key = md5(serialize([$layer->source, $layer->placement, $layer->effects]));

        return $this->known[$key] ??= $layer->placement === null ? null : $this->placed($layer, $layer->placement);
    }

    public function inking(Layer $layer): Inking
    {
        $own = $layer->source instanceof ArtSource || $layer->children() !== [] ? null : Srgb::hex('#1f1d1a');
        $inking = Inking::plain($own);
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof Inks) {
                $inking = $effect->ink($inking);
            }
        }

        return $inking;
    }

    /** The box in inches that all the layer's ink lies in, rings and all; null when there is none. */
    public function reach(Layer $layer): ?Box
    {
        $own = null;
        foreach ($layer->children() as $child) {
            if ($child->on && ! $child->role->knockout && ($box = $this->reach($child)) !== null) {
                $own = $own === null ? $box : $own->union($box);
            }
        }
        $own ??= $this->place($layer)?->box();

        return $own?->grown($this->inking($layer)->longestReach());
    }

    /**
     * Source pixels ÷ placed inches, the lesser of both ways; null for anything but a raster.
     *
     * @throws AssetUnusable
     */
    public function effectivePpi(Layer $layer): ?float
    {
        if (! $layer->source instanceof ArtSource || ($placing = $this->place($layer)) === null) {
            return null;
        }
        $picture = $this->shelf->picture($layer->source->file);

        return $picture->isVector() ? null : min(
            Resolution::effective((int) $picture->width, Length::inches($placing->width)),
            Resolution::effective((int) $picture->height, Length::inches($placing->height)),
        );
    }

    private function placed(Layer $layer, Placement $placement): ?Placing
    {
        $source = $layer->source;
        if ($source instanceof ArtSource) {
            return Placing::picture($placement, $this->shelf->picture($source->file)->aspect());
        }
        $outline = match (true) {
            $source instanceof TextSource => $this->words($source, $layer),
            $source instanceof ShapeSource => $source->outline($placement->width, $placement->height),
            default => Path::empty(),
        };
        if ($outline->isEmpty()) {
            return null;
        }
        $perInch = $outline->bounds()->width() / $placement->width;
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof BendsOutline) {
                $outline = $effect->bend($outline, self::TOLERANCE * $perInch);
            }
        }
        $box = $outline->bounds();
        $across = $placement->width / $box->width();
        $down = $placement->height === null ? $across : $placement->height / $box->height();

        return Placing::outline($placement, $outline
            ->transformed(Affine::shift(-$box->centreX(), -$box->centreY()))
            ->transformed(Affine::scale($across, $down)));
    }

    private function words(TextSource $source, Layer $layer): Path
    {
        $setting = $source->setting();
        foreach ($layer->liveEffects() as $effect) {
            if ($effect instanceof SetsType) {
                $setting = $effect->set($setting);
            }
        }
        $letters = Typesetter::set($source->text, $this->shelf->font($source->font), $setting);

        return Path::join(...array_map(fn (Letter $letter): Path => $letter->path, $letters));
    }
}
