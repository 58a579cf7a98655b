<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Effect;
use TallCrow\Mask\ShapeMask;
use TallCrow\Raster\BlendMode;
use TallCrow\Texture\Wear;

final readonly class Layer
{
    /**
     * @param  ?Placement  $placement  null for a group, whose layers lie on the sheet themselves
     * @param  list<EffectLine>  $effects
     * @param  list<ShapeMask>  $masks
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
    ) {}

    /** @return list<Effect> those that are on, in order */
    public function liveEffects(): array
    {
        return array_map(
            fn (EffectLine $line): Effect => $line->effect(),
            array_values(array_filter($this->effects, fn (EffectLine $line): bool => $line->on)),
        );
    }

    /** @return list<ShapeMask> */
    public function liveMasks(): array
    {
        return array_values(array_filter($this->masks, fn (ShapeMask $mask): bool => $mask->on));
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
            default => 'Group',
        };
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->with(
            placement: $this->placement?->moved($dx, $dy),
            source: $this->source instanceof GroupSource ? new GroupSource(array_map(fn (Layer $l): Layer => $l->moved($dx, $dy), $this->source->layers)) : null,
        );
    }

    /** Sizes the piece and every measure on it (rings, gaps, feathers, wear) by one factor. */
    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        return $this->with(
            placement: $this->placement?->scaled($by, $aboutX, $aboutY),
            source: $this->source instanceof GroupSource ? new GroupSource(array_map(fn (Layer $l): Layer => $l->scaled($by, $aboutX, $aboutY), $this->source->layers)) : null,
            role: $this->role->knockout ? Role::knockout($this->role->gap * $by, $this->role->join) : null,
            effects: array_map(fn (EffectLine $line): EffectLine => Scaling::effect($line, $by), $this->effects),
            masks: array_map(fn (ShapeMask $mask): ShapeMask => $mask->withFeather($mask->feather * $by), $this->masks),
            distress: array_map(fn (Wear $wear): Wear => Scaling::wear($wear, $by), $this->distress),
        );
    }

    /**
     * The same layer but for what is given.
     *
     * @param  ?list<EffectLine>  $effects
     * @param  ?list<ShapeMask>  $masks
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
            'masks' => array_map(fn (ShapeMask $mask): array => $mask->toArray(), $this->masks),
            'distress' => array_map(fn (Wear $wear): array => $wear->toArray(), $this->distress),
        ];
    }
}
