<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Join;

/** How a layer is inked: fills, outside and inside rings, hatching over it and shadows behind it. */
final readonly class Inking
{
    /**
     * @param  list<Filling>  $fills  each over the ones before; empty keeps the art's own colours
     * @param  list<Ring>  $rings  outside rings, the innermost first
     * @param  list<Ring>  $inlines  inside rings, the outermost first
     * @param  list<Hatching>  $hatchings
     * @param  list<CastShadow>  $shadows
     * @param  float  $grown  how far the outline is moved out, in inches, before rings lie about it; below nothing moved in
     * @param  bool  $hollow  nothing is filled
     */
    private function __construct(
        public array $fills = [],
        public array $rings = [],
        public array $inlines = [],
        public array $hatchings = [],
        public array $shadows = [],
        public float $grown = 0.0,
        public Join $grownJoin = Join::Round,
        public bool $hollow = false,
        /** Fills the area within the outermost outline, below everything else. */
        public ?Srgb $backing = null,
        private Aim $aim = new Aim(Part::All),
    ) {}

    public static function plain(?Srgb $fill): self
    {
        return new self($fill === null ? [] : [new Filling(Aim::all(), new Solid($fill))]);
    }

    /** Adds a fill. A fill for the whole piece replaces the ones before it. */
    public function filled(Paint $paint): self
    {
        $filling = new Filling($this->aim, $paint);

        return $this->with(['fills' => $this->aim->part === Part::All ? [$filling] : [...$this->fills, $filling]]);
    }

    /** Restricts the fills that follow to a part. */
    public function aimed(Aim $aim): self
    {
        return $this->with(['aim' => $aim]);
    }

    public function ringed(Ring $ring): self
    {
        return $this->with(['rings' => [...$this->rings, $ring]]);
    }

    public function inlined(Ring $ring): self
    {
        return $this->with(['inlines' => [...$this->inlines, $ring]]);
    }

    public function hatched(Hatching $hatching): self
    {
        return $this->with(['hatchings' => [...$this->hatchings, $hatching]]);
    }

    public function shadowed(CastShadow $shadow): self
    {
        return $this->with(['shadows' => [...$this->shadows, $shadow]]);
    }

    public function emboldened(float $by, Join $join): self
    {
        return $this->with(['grown' => $this->grown + $by, 'grownJoin' => $join]);
    }

    public function backed(Srgb $colour): self
    {
        return $this->with(['backing' => $colour]);
    }

    public function hollowed(): self
    {
        return $this->with(['hollow' => true]);
    }

    /** Whether the outline itself is filled, with whatever paint, so that a knockout only needs the outline. */
    public function isBare(): bool
    {
        return $this->rings === [] && $this->shadows === [] && $this->hatchings === [] && $this->grown == 0.0 && ! $this->hollow && $this->backing === null;
    }

    /** Whether anything lies along the outline, inside or outside. */
    public function hasEdges(): bool
    {
        return $this->rings !== [] || $this->inlines !== [] || $this->shadows !== [] || $this->hollow || $this->backing !== null;
    }

    /** The same without what lies along the outline: the filled body. */
    public function withoutEdges(): self
    {
        return $this->with(['rings' => [], 'inlines' => [], 'shadows' => [], 'hollow' => false, 'backing' => null]);
    }

    /** Only what lies along the outline, about a body that is filled already. */
    public function edgesAlone(): self
    {
        return $this->with(['fills' => [], 'hatchings' => [], 'grown' => 0.0]);
    }

    /** Extent of the outermost ring beyond the outline, in inches. */
    public function reach(): float
    {
        return max(0.0, $this->grown) + array_sum(array_map(fn (Ring $ring): float => $ring->width, $this->rings));
    }

    /** Largest extent of a mitred corner beyond the outline, in inches. */
    public function longestReach(): float
    {
        $most = max([1.0, ...array_map(fn (Ring $ring): float => $ring->join === Join::Mitre ? $ring->mitreLimit : 1.0, $this->rings)]);

        return $this->reach() * $most;
    }

    /** The bounding box of all ink, given that of the outline. */
    public function about(Box $outline): Box
    {
        $ringed = $outline->grown($this->longestReach());
        $box = $ringed;
        foreach ($this->shadows as $shadow) {
            $box = $box->union(new Box($ringed->left + $shadow->x, $ringed->top + $shadow->y, $ringed->right + $shadow->x, $ringed->bottom + $shadow->y));
        }

        return $box;
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, with the changes applied)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
