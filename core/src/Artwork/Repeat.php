<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Join;
use TallCrow\Mask\Mask;

/** Repeats a layer: mirrored, around a centre, or stacked. Its wear is not repeated but covers all copies as a whole. */
final readonly class Repeat
{
    public const MOST = 120;

    private function __construct(
        public RepeatKind $kind,
        /** Position of the axis or the centre, in inches on the sheet. */
        public float $x,
        public float $y,
        /** Total number of copies of a radial repeat or a stack. */
        public int $count = 8,
        public Facing $facing = Facing::Turned,
        /** Step from one copy of a stack to the next, in inches. */
        public float $stepX = 0.0,
        public float $stepY = 1.0,
        /** Size of each copy of a stack relative to the previous one. */
        public float $size = 1.0,
        /** Number of the copy that is changed, starting at 1; 0 for none. */
        public int $changed = 0,
        public CopyAs $as = CopyAs::Same,
        public string $colour = '#f3ead7',
        public bool $on = true,
    ) {}

    /** Around an axis or a centre, in inches on the sheet; a stack has none and starts at the layer's own place. */
    public static function about(RepeatKind $kind, float $x, float $y): self
    {
        return new self($kind, $x, $y);
    }

    /** @param  int  $count  in all */
    public function withCopies(int $count, Facing $facing = Facing::Turned): self
    {
        return $this->with(['count' => $count, 'facing' => $facing]);
    }

    /** The step of a stack in inches, and the size of each copy relative to the previous one. */
    public function stepping(float $x, float $y, float $size = 1.0): self
    {
        return $this->with(['stepX' => $x, 'stepY' => $y, 'size' => $size]);
    }

    /** @param  int  $number  of the copy that is changed, starting at 1; 0 for none */
    public function changing(int $number, CopyAs $as, string $colour): self
    {
        return $this->with(['changed' => $number, 'as' => $as, 'colour' => $colour]);
    }

    public function switched(bool $on): self
    {
        return $this->with(['on' => $on]);
    }

    /**
     * The layer and its copies as a group. Wear, opacity and masks drawn on the garment view, where all copies are
     * visible, apply to the whole group; other masks are repeated with the layer.
     */
    public function spread(Layer $layer): Layer
    {
        return Layer::group($layer->id, $this->copies($layer))->withName($layer->called())->withOn($layer->on)->withRole($layer->role)
            ->withOpacity($layer->opacity)->withBlend($layer->blend)
            ->withMasks(array_values(array_filter($layer->masks, self::isDrawn(...))))->withDistress($layer->distress);
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->with(['x' => Placement::sum($this->x, $dx), 'y' => Placement::sum($this->y, $dy)]);
    }

    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        return $this->with([
            'x' => $aboutX + ($this->x - $aboutX) * $by, 'y' => $aboutY + ($this->y - $aboutY) * $by,
            'stepX' => $this->stepX * $by, 'stepY' => $this->stepY * $by,
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value, 'x' => $this->x, 'y' => $this->y, 'count' => $this->count, 'facing' => $this->facing->value,
            'stepX' => $this->stepX, 'stepY' => $this->stepY, 'size' => $this->size,
            'changed' => $this->changed, 'as' => $this->as->value, 'colour' => $this->colour, 'on' => $this->on,
        ];
    }

    /** @return list<Layer> */
    private function copies(Layer $layer): array
    {
        $bare = $layer->withRole(Role::ink())->withOpacity(1.0)->withDistress([])->withRepeat(null)
            ->withMasks(array_values(array_filter($layer->masks, fn (Mask $mask): bool => ! self::isDrawn($mask))));
        $copies = match ($this->kind) {
            RepeatKind::MirrorAcross => [$bare, $bare->mirroredAcross($this->x)],
            RepeatKind::MirrorDown => [$bare, $bare->mirroredDown($this->y)],
            RepeatKind::Quadrants => [$bare, $bare->mirroredAcross($this->x), $bare->mirroredDown($this->y), $bare->mirroredAcross($this->x)->mirroredDown($this->y)],
            RepeatKind::Radial => array_map(fn (int $i): Layer => $this->turnedCopy($bare, $i), range(0, $this->count - 1)),
            RepeatKind::Stack => $this->stack($bare),
        };
        $out = [];
        foreach ($copies as $i => $copy) {
            $copy = $copy->withId($layer->id.'~'.($i + 1));
            $out[] = $i === $this->changed - 1 ? $this->change($copy) : $copy;
        }

        return $out;
    }

    private static function isDrawn(Mask $mask): bool
    {
        return $mask->isDrawn();
    }

    private function turnedCopy(Layer $layer, int $number): Layer
    {
        $degrees = 360 * $number / $this->count;
        if ($this->facing === Facing::Mirrored && $number % 2 === 1) {
            // Mirrored at the line through the repeat's centre and the layer.
            $layer = $layer->mirroredAbout($this->x, $this->y);
        }
        $turned = $layer->turned($degrees, $this->x, $this->y);

        return $this->facing === Facing::Upright ? $turned->spun(-$degrees) : $turned;
    }

    /** @return list<Layer> */
    private function stack(Layer $layer): array
    {
        $copies = [];
        for ($i = 0; $i < $this->count; $i++) {
            $size = $this->size ** $i;
            $copy = abs($size - 1) < 1e-9 ? $layer : $layer->scaled($size, $layer->middle()[0], $layer->middle()[1]);
            $copies[] = $copy->moved($i * $this->stepX, $i * $this->stepY);
        }

        return $copies;
    }

    private function change(Layer $copy): Layer
    {
        $more = fn (string $kind, array $values): Layer => $copy->withEffects([...$copy->effects, new EffectLine($kind, new Values($values), true)]);

        return match ($this->as) {
            CopyAs::Same => $copy,
            CopyAs::Coloured => $more('fill', ['colour' => Srgb::hex($this->colour)->toHex()]),
            CopyAs::Hollow => $more('hollow', ['width' => 0.05, 'colour' => Srgb::hex($this->colour)->toHex()]),
            CopyAs::Knockout => $copy->withRole(Role::knockout(0.0, Join::Round)),
        };
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, but for the changes)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
