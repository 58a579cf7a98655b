<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Mask\BrushMask;
use TallCrow\Mask\Stroke;

/** One wear ("distress") of a sheet or layer: ink is removed, so that the cloth shows, whatever its colour. */
final readonly class Wear
{
    /** Distance, in inches, at which two centres count as the same. */
    private const SAME = 0.001;

    /**
     * @param  list<string>  $shielded  ids of layers that keep their ink
     * @param  list<Stroke>  $strokes  brush strokes that add wear or (restoring) spare ink, in shares of the worn box
     */
    private function __construct(
        public string $texture,
        /** Share of the ink that is removed, 0 to 0.9. */
        public float $amount,
        /** Picture file, for wear by a picture. */
        public string $file = '',
        public int $seed = 1,
        /** Scale; 1 is the texture's own size. */
        public float $scale = 1.0,
        /** Shift of the texture in inches, and rotation in degrees. */
        public float $x = 0.0,
        public float $y = 0.0,
        public float $turn = 0.0,
        public bool $inverted = false,
        public array $shielded = [],
        public array $strokes = [],
        public bool $on = true,
        /** For a picture: use its marks as they are, whatever share that removes. */
        public bool $asItIs = false,
    ) {}

    /** @param  string  $texture  kind of a texture of the Catalogue */
    public static function of(string $texture, float $amount): self
    {
        return new self($texture, $amount);
    }

    /** @param  string  $file  name of a picture on the shelf; empty while none is chosen */
    public static function ofPicture(string $file, float $amount): self
    {
        return new self(Catalogue::PICTURE, $amount, $file);
    }

    /** @return list<string> names of the picture files that it uses */
    public function files(): array
    {
        return $this->file === '' ? [] : [$this->file];
    }

    public function isPicture(): bool
    {
        return $this->texture === Catalogue::PICTURE;
    }

    /** Whether it is a picture's that was not chosen yet. */
    public function lacksPicture(): bool
    {
        return $this->isPicture() && $this->file === '';
    }

    public function seeded(int $seed): self
    {
        return $this->changed(['seed' => $seed]);
    }

    /** The texture's placement: shift in inches, rotation in degrees, scale, and inversion. */
    public function lying(float $x, float $y, float $turn, float $scale, bool $inverted): self
    {
        return $this->changed(['x' => $x, 'y' => $y, 'turn' => $turn, 'scale' => $scale, 'inverted' => $inverted]);
    }

    /** @param  list<Stroke>  $strokes */
    public function brushed(array $strokes): self
    {
        return $this->changed(['strokes' => $strokes]);
    }

    /** @param  list<string>  $ids  ids of the layers that keep their ink */
    public function shieldingOnly(array $ids): self
    {
        return $this->changed(['shielded' => $ids]);
    }

    public function asItIs(bool $asItIs): self
    {
        return $this->changed(['asItIs' => $asItIs]);
    }

    public function switched(bool $on): self
    {
        return $this->changed(['on' => $on]);
    }

    /** @param  string  $texture  kind of a texture of the Catalogue */
    public function withTexture(string $texture): self
    {
        return $this->changed(['texture' => $texture]);
    }

    public function withAmount(float $amount): self
    {
        return $this->changed(['amount' => $amount]);
    }

    public function shielding(string $id): self
    {
        return $this->changed(['shielded' => array_values(array_unique([...$this->shielded, $id]))]);
    }

    public function scaled(float $by, float $scale): self
    {
        return $this->changed([
            'scale' => $scale, 'x' => $this->x * $by, 'y' => $this->y * $by,
            'strokes' => array_map(fn (Stroke $stroke): Stroke => $stroke->scaled($by), $this->strokes),
        ]);
    }

    /**
     * The same wear after its piece was moved from one box to another (inches): its marks keep their place on the ink. A stroke's symmetry refers to its box's
     * centre; if the centre changes, the images become separate strokes, as far as their number allows.
     */
    public function moved(float $x, float $y, Box $from, Box $to): self
    {
        $was = $from->transformed(Affine::shift($x, $y));
        $strokes = $this->strokes;
        if (hypot($was->centreX() - $to->centreX(), $was->centreY() - $to->centreY()) > self::SAME) {
            $images = array_merge([], ...array_map(fn (Stroke $stroke): array => $stroke->apart($was), $strokes));
            $strokes = count($images) > BrushMask::MOST_STROKES ? $strokes : $images;
        }

        return $this->changed(['x' => $this->x + $x, 'y' => $this->y + $y, 'strokes' => array_map(fn (Stroke $stroke): Stroke => $stroke->on($was, $to), $strokes)]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'texture' => $this->texture, 'amount' => $this->amount, 'scale' => $this->scale, 'seed' => $this->seed,
            'inverted' => $this->inverted, 'shielded' => $this->shielded, 'on' => $this->on,
            'file' => $this->file, 'x' => $this->x, 'y' => $this->y, 'turn' => $this->turn,
            'strokes' => array_map(fn (Stroke $stroke): array => $stroke->toArray(), $this->strokes), 'asItIs' => $this->asItIs,
        ];
    }

    /** @param  array<string, mixed>  $changes */
    private function changed(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, with the changes applied)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
