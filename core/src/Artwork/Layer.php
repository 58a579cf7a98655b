<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Effect;
use TallCrow\Mask\Mask;
use TallCrow\Raster\BlendMode;
use TallCrow\Texture\Wear;

final readonly class Layer
{
    /**
     * @param  ?Placement  $placement  null for a group, whose layers lie on the sheet themselves
     * @param  list<EffectLine>  $effects
     * @param  list<Mask>  $masks
     * @param  list<Wear>  $distress
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $on,
        public Role $role,
        public Source $source,
        public ?Placement $placement,
        public float $opacity,
        public BlendMode $blend,
        public array $effects,
        public array $masks,
        public array $distress,
        public ?Repeat $repeat = null,
    ) {}

    /** @return list<Effect> those that are on, in order */
    public function liveEffects(): array
    {
        return array_map(
            fn (EffectLine $line): Effect => $line->effect(),
            array_values(array_filter($this->effects, fn (EffectLine $line): bool => $line->on)),
        );
    }

    /** The layer as it is drawn: its copies as a group, and what is inked before it is bent as a piece of its own. */
    public function drawn(): self
    {
        if ($this->repeat?->on) {
            return $this->repeat->spread($this);
        }
        $cut = EffectOrder::firstBentInk($this->effects);
        if ($cut === null) {
            return $this;
        }
        $inner = $this->with(role: Role::ink(), opacity: 1.0, effects: array_slice($this->effects, 0, $cut), masks: [], distress: [])->identified($this->id.'~inner');

        return new self(
            $this->id, $this->called(), $this->on, $this->role, new GroupSource([$inner]), null,
            $this->opacity, $this->blend, array_slice($this->effects, $cut), $this->masks, $this->distress,
        );
    }

    /** @return list<Mask> */
    public function liveMasks(): array
    {
        return array_values(array_filter($this->masks, fn (Mask $mask): bool => $mask->isOn()));
    }

    /** @return list<Wear> */
    public function liveDistress(): array
    {
        return array_values(array_filter($this->distress, fn (Wear $wear): bool => $wear->on));
    }

    /** @return list<Layer> */
    public function children(): array
    {
        return $this->source instanceof GroupSource ? $this->source->layers : [];
    }

    public function called(): string
    {
        return match (true) {
            $this->name !== '' => $this->name,
            $this->source instanceof TextSource => mb_strimwidth(str_replace("\n", ' / ', $this->source->text), 0, 32, '…'),
            $this->source instanceof ArtSource => pathinfo($this->source->file, PATHINFO_FILENAME),
            $this->source instanceof ShapeSource => ucfirst($this->source->shape->value),
            $this->source instanceof GridSource => sprintf('%d × %d frames', $this->source->columns, $this->source->rows),
            default => 'Group',
        };
    }

    public function identified(string $id): self
    {
        return new self($id, $this->name, $this->on, $this->role, $this->source, $this->placement, $this->opacity, $this->blend, $this->effects, $this->masks, $this->distress, $this->repeat);
    }

    public function unrepeated(): self
    {
        return new self($this->id, $this->name, $this->on, $this->role, $this->source, $this->placement, $this->opacity, $this->blend, $this->effects, $this->masks, $this->distress);
    }

    /** @return array{float, float} where its middle lies, in inches; of a group the mean of its layers' */
    public function middle(): array
    {
        if ($this->placement !== null) {
            return [$this->placement->x, $this->placement->y];
        }
        $middles = array_map(fn (self $layer): array => $layer->middle(), $this->children());

        return $middles === [] ? [0.0, 0.0] : [array_sum(array_column($middles, 0)) / count($middles), array_sum(array_column($middles, 1)) / count($middles)];
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->each(fn (self $l): self => $l->moved($dx, $dy), fn (Placement $p): Placement => $p->moved($dx, $dy))
            ->with(repeat: $this->repeat?->moved($dx, $dy));
    }

    /** Turned about a point of the sheet, copies and all. */
    public function turned(float $degrees, float $x, float $y): self
    {
        return $this->settled()->each(fn (self $l): self => $l->turned($degrees, $x, $y), fn (Placement $p): Placement => $p->turned($degrees, $x, $y));
    }

    /** Turned where it lies. */
    public function spun(float $degrees): self
    {
        [$x, $y] = $this->middle();

        return $this->turned($degrees, $x, $y);
    }

    public function mirroredAcross(float $axis): self
    {
        return $this->settled()->each(fn (self $l): self => $l->mirroredAcross($axis), fn (Placement $p): Placement => $p->mirroredAcross($axis));
    }

    public function mirroredDown(float $axis): self
    {
        return $this->settled()->each(fn (self $l): self => $l->mirroredDown($axis), fn (Placement $p): Placement => $p->mirroredDown($axis));
    }

    /** Mirrored on the line from a point through its own middle, so that it stays where it is. */
    public function mirroredAbout(float $x, float $y): self
    {
        [$ownX, $ownY] = $this->middle();
        $angle = rad2deg(atan2($ownX - $x, $y - $ownY));

        return $this->turned(-$angle, $x, $y)->mirroredAcross($x)->turned($angle, $x, $y);
    }

    /** Sizes the piece and every measure on it (rings, gaps, feathers, wear) by one factor. */
    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        $sized = $this->each(fn (self $l): self => $l->scaled($by, $aboutX, $aboutY), fn (Placement $p): Placement => $p->scaled($by, $aboutX, $aboutY));

        return $sized->with(
            source: $sized->source instanceof GridSource ? $sized->source->scaled($by) : null,
            role: $this->role->scaled($by),
            effects: array_map(fn (EffectLine $line): EffectLine => Scaling::effect($line, $by), $this->effects),
            masks: array_map(fn (Mask $mask): Mask => $mask->scaled($by), $this->masks),
            distress: array_map(fn (Wear $wear): Wear => Scaling::wear($wear, $by), $this->distress),
            repeat: $this->repeat?->scaled($by, $aboutX, $aboutY),
        );
    }

    /**
     * The same layer but for what is given.
     *
     * @param  ?list<EffectLine>  $effects
     * @param  ?list<Mask>  $masks
     * @param  ?list<Wear>  $distress
     */
    public function with(
        ?bool $on = null,
        ?Role $role = null,
        ?Source $source = null,
        ?Placement $placement = null,
        ?float $opacity = null,
        ?array $effects = null,
        ?array $masks = null,
        ?array $distress = null,
        ?Repeat $repeat = null,
    ): self {
        return new self(
            $this->id,
            $this->name,
            $on ?? $this->on,
            $role ?? $this->role,
            $source ?? $this->source,
            $placement ?? $this->placement,
            $opacity ?? $this->opacity,
            $this->blend,
            $effects ?? $this->effects,
            $masks ?? $this->masks,
            $distress ?? $this->distress,
            $repeat ?? $this->repeat,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $p = $this->placement;

        return [
            'id' => $this->id,
            'name' => $this->name,
            'on' => $this->on,
            'role' => $this->role->toArray(),
            'source' => $this->source->toArray(),
            ...($p === null ? [] : ['placement' => [
                'x' => $p->x, 'y' => $p->y, 'width' => $p->width, 'height' => $p->height, 'turn' => $p->turn, 'flip' => $p->flip->value,
            ]]),
            'opacity' => $this->opacity,
            'blend' => $this->blend->value,
            'effects' => array_map(fn (EffectLine $line): array => $line->toArray(), $this->effects),
            'masks' => array_map(fn (Mask $mask): array => $mask->toArray(), $this->masks),
            'distress' => array_map(fn (Wear $wear): array => $wear->toArray(), $this->distress),
            ...($this->repeat === null ? [] : ['repeat' => $this->repeat->toArray()]),
        ];
    }

    /** Copies become layers of their own where a single axis can no longer tell them. */
    private function settled(): self
    {
        return $this->repeat?->on ? $this->repeat->spread($this) : $this;
    }

    /**
     * @param  \Closure(self): self  $child
     * @param  \Closure(Placement): Placement  $placement
     */
    private function each(\Closure $child, \Closure $placement): self
    {
        return $this->with(
            placement: $this->placement === null ? null : $placement($this->placement),
            source: $this->source instanceof GroupSource ? new GroupSource(array_map($child, $this->source->layers)) : null,
        );
    }
}
