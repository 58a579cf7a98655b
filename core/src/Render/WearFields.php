<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Asset\Shelf;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Texture\Catalogue;
use TallCrow\Texture\MarksOfPicture;
use TallCrow\Texture\Wear;
use TallCrow\Texture\WearTile;

/** Fields of textures and pictures of wear, made once and cached. */
final class WearFields
{
    private const MOST_FIELDS = 12;

    /** @var array<string, Image> fields at print resolution, by name */
    private array $fields = [];

    public function __construct(
        private readonly Shelf $shelf,
        private readonly Pictures $pictures,
    ) {}

    /** The field at print resolution. An enlarged field is not cached: the part asked for is computed from the field itself. */
    public function sized(Wear $wear): Image
    {
        if (abs($wear->scale - 1) < 1e-6) {
            return WearTile::sized($this->field($wear), $wear);
        }
        if ($wear->scale > 1) {
            return WearTile::sized($this->inMemory('field '.$this->origin($wear), fn (): Image => $this->field($wear)), $wear);
        }

        return $this->pictures->image('sized '.$this->name($wear), fn (): Image => WearTile::sized($this->field($wear), $wear)->settled());
    }

    /** The field at a low ppi, at random places within its pixels, other ones at each look. */
    public function glimpsed(Wear $wear, float $ppi, int $look): Image
    {
        if ($wear->scale <= 1) {
            return WearTile::glimpsed($this->sized($wear), 1.0, $ppi, $look);
        }
        $field = $this->field($wear);

        return WearTile::glimpsed($wear->inverted ? $field->inverted() : $field, $wear->scale, $ppi, $look);
    }

    /**
     * Reads a cached file into memory at once: random access to the mapped file takes ten times as long.
     *
     * @param  callable(): Image  $read
     */
    public function inMemory(string $key, callable $read): Image
    {
        if (! isset($this->fields[$key])) {
            $this->fields = array_slice($this->fields, -self::MOST_FIELDS + 1, preserve_keys: true);
            $this->fields[$key] = $read()->settled();
        }

        return $this->fields[$key];
    }

    /** Cache key of a field at its scale. */
    public function name(Wear $wear): string
    {
        return $this->origin($wear).sprintf(' %.4f %s', $wear->scale, $wear->inverted ? 'inverted' : 'plain');
    }

    private function field(Wear $wear): Image
    {
        if ($wear->texture !== Catalogue::PICTURE) {
            return $this->pictures->material('field '.$this->origin($wear), fn (): Image => Catalogue::field($wear->texture, $wear->seed, $wear->scale));
        }
        $pixels = fn (): Image => $this->shelf->picture($wear->file)->pixels();

        return $this->pictures->image('field '.$this->origin($wear), fn (): Image => $wear->asItIs ? MarksOfPicture::marks($pixels()) : MarksOfPicture::field($pixels()));
    }

    private function origin(Wear $wear): string
    {
        return $wear->texture === Catalogue::PICTURE ? $this->shelf->fingerprint($wear->file).($wear->asItIs ? ' as it is' : '') : sprintf('%s %d %d', $wear->texture, $wear->seed, Patchwork::across($wear->scale));
    }
}
