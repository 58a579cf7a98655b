<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Effect;
use TallCrow\Effect\LaysAbout;
use TallCrow\Effect\LeavesNoFade;
use TallCrow\Effect\Look\Airbrushed;
use TallCrow\Mask\Mask;
use TallCrow\Raster\BlendMode;
use TallCrow\Texture\Wear;

/** One layer of the design: its source, placement, effects, masks and wear. Immutable; use its with... methods to get a changed copy. */
final readonly class Layer
{
    /**
     * @param  ?Placement  $placement  null for a group, whose layers have placements of their own
     * @param  list<EffectLine>  $effects
     * @param  list<Mask>  $masks
     * @param  list<Wear>  $distress
     */
    private function __construct(
        public string $id,
        public Source $source,
        public ?Placement $placement,
        public string $name = '',
        public bool $on = true,
        public Role $role = new Role,
        public float $opacity = 1.0,
        public BlendMode $blend = BlendMode::Normal,
        public array $effects = [],
        public array $masks = [],
        public array $distress = [],
        public ?Repeat $repeat = null,
        public ?Follows $follows = null,
    ) {}

    public static function piece(string $id, Source $source, Placement $placement): self
    {
        return new self($id, $source, $placement);
    }

    /** @param  list<self>  $layers */
    public static function group(string $id, array $layers): self
    {
        return new self($id, new GroupSource($layers), null);
    }

    public function withId(string $id): self
    {
        return $this->with(['id' => $id]);
    }

    public function withName(string $name): self
    {
        return $this->with(['name' => $name]);
    }

    public function withOn(bool $on): self
    {
        return $this->with(['on' => $on]);
    }

    public function withRole(Role $role): self
    {
        return $this->with(['role' => $role]);
    }

    public function withSource(Source $source): self
    {
        return $this->with(['source' => $source]);
    }

    /** The same layer at another placement; not for groups. */
    public function withPlacement(Placement $placement): self
    {
        return $this->placement === null ? $this : $this->with(['placement' => $placement]);
    }

    public function withOpacity(float $opacity): self
    {
        return $this->with(['opacity' => $opacity]);
    }

    public function withBlend(BlendMode $blend): self
    {
        return $this->with(['blend' => $blend]);
    }

    /** @param  list<EffectLine>  $effects */
    public function withEffects(array $effects): self
    {
        return $this->with(['effects' => $effects]);
    }

    /** @param  list<Mask>  $masks */
    public function withMasks(array $masks): self
    {
        return $this->with(['masks' => $masks]);
    }

    /** @param  list<Wear>  $distress */
    public function withDistress(array $distress): self
    {
        return $this->with(['distress' => $distress]);
    }

    public function withRepeat(?Repeat $repeat): self
    {
        return $this->with(['repeat' => $repeat]);
    }

    /** Sets or removes the link to a layer that it follows. */
    public function following(?Follows $follows): self
    {
        return $this->with(['follows' => $follows]);
    }

    /** @return list<Effect> the effects that are on, in order */
    public function liveEffects(): array
    {
        return array_map(
            fn (EffectLine $line): Effect => $line->effect(),
            array_values(array_filter($this->effects, fn (EffectLine $line): bool => $line->on)),
        );
    }

    /** Whether an effect of its own turns every fade into dots of solid ink. */
    public function endsFades(): bool
    {
        return array_filter($this->liveEffects(), fn (Effect $effect): bool => $effect instanceof LeavesNoFade) !== [];
    }

    /** Whether its own settings produce half-transparent ink: soft masks, opacity, soft looks. */
    public function fades(): bool
    {
        return ! $this->endsFades() && ($this->opacity < 1
            || array_filter($this->liveMasks(), fn (Mask $mask): bool => $mask->isSoft()) !== []
            || array_filter($this->liveEffects(), fn (Effect $effect): bool => $effect instanceof Airbrushed) !== []);
    }

    /** The layer as it is drawn: copies become a group, and ink that comes before a warp becomes a child, which is then bent as a picture. */
    public function drawn(): self
    {
        if ($this->repeat?->on) {
            return $this->repeat->spread($this);
        }
        $cut = EffectOrder::firstBentInk($this->effects);
        if ($cut === null) {
            return $this;
        }
        $inner = $this->withId($this->id.'~inner')->withRole(Role::ink())->withOpacity(1.0)->withEffects(array_slice($this->effects, 0, $cut))->withMasks([])->withDistress([]);

        return $this->withName($this->called())->with(['source' => new GroupSource([$inner]), 'placement' => null])->withEffects(array_slice($this->effects, $cut));
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

    /** Without any wear, including that of its children. */
    public function unworn(): self
    {
        return $this->withDistress([])->withSource($this->source->each(fn (self $layer): self => $layer->unworn()));
    }

    /** Whether it is a group that does not change how its children are drawn, apart from wear. */
    public function isPlainGroup(): bool
    {
        return $this->liveEffects() === [] && $this->showsItsPieces();
    }

    /** Whether the children of a group look as without it, apart from ink that is added around them. */
    public function showsItsPieces(): bool
    {
        return $this->children() !== [] && array_filter($this->liveEffects(), fn (Effect $effect): bool => ! $effect instanceof LaysAbout) === []
            && $this->liveMasks() === [] && $this->opacity >= 1.0 && $this->blend === BlendMode::Normal && $this->repeat?->on !== true;
    }

    /** @return list<Layer> the children of a group; empty for other layers */
    public function children(): array
    {
        return $this->source->layers();
    }

    /** @return list<Layer> itself and all descendants, groups before their children */
    public function everyLayer(): array
    {
        return [$this, ...array_merge([], ...array_map(fn (self $child): array => $child->everyLayer(), $this->children()))];
    }

    /** @return list<string> names of the fonts and pictures that it uses itself, without its children's */
    public function files(): array
    {
        return [
            ...$this->source->files(),
            ...array_merge([], ...array_map(fn (EffectLine $line): array => $line->files(), $this->effects)),
            ...array_merge([], ...array_map(fn (Wear $wear): array => $wear->files(), $this->distress)),
            ...array_merge([], ...array_map(fn (Mask $mask): array => $mask->files(), $this->masks)),
        ];
    }

    /** Its own name, or a name from its source. */
    public function called(): string
    {
        return $this->name !== '' ? $this->name : $this->source->called();
    }

    /** Its words, if it sets any. */
    public function words(): ?TextSource
    {
        return $this->source->match(fn (TextSource $text): TextSource => $text, self::not(...), self::not(...), self::not(...));
    }

    public function isWords(): bool
    {
        return $this->words() !== null;
    }

    /** Its picture, if it lays one. */
    public function picture(): ?ArtSource
    {
        return $this->source->match(self::not(...), fn (ArtSource $art): ArtSource => $art, self::not(...), self::not(...));
    }

    public function isPicture(): bool
    {
        return $this->picture() !== null;
    }

    /** Whether it, or a descendant, is clipped to another layer, which does not move along with this one. */
    public function isClipped(): bool
    {
        return array_filter($this->everyLayer(), fn (self $one): bool => array_filter($one->liveMasks(), fn (Mask $mask): bool => $mask->clipsTo() !== null) !== []) !== [];
    }

    /** @return array{float, float} its centre in inches; for a group the mean of its children's centres */
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
            ->withRepeat($this->repeat?->moved($dx, $dy));
    }

    /** Rotated about a point of the sheet, with its copies. */
    public function turned(float $degrees, float $x, float $y): self
    {
        return $this->settled()->each(fn (self $l): self => $l->turned($degrees, $x, $y), fn (Placement $p): Placement => $p->turned($degrees, $x, $y));
    }

    /** Rotated about its own centre. */
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

    /** Mirrored on the line from a point through its own centre, so that its centre stays. */
    public function mirroredAbout(float $x, float $y): self
    {
        [$ownX, $ownY] = $this->middle();
        $angle = rad2deg(atan2($ownX - $x, $y - $ownY));

        return $this->turned(-$angle, $x, $y)->mirroredAcross($x)->turned($angle, $x, $y);
    }

    /** Scales the layer and every length on it (rings, gaps, feathers, wear) by one factor. */
    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        $sized = $this->each(fn (self $l): self => $l->scaled($by, $aboutX, $aboutY), fn (Placement $p): Placement => $p->scaled($by, $aboutX, $aboutY));

        return $sized->withSource($sized->source->scaled($by))
            ->withRole($this->role->scaled($by))
            ->withEffects(array_map(fn (EffectLine $line): EffectLine => Scaling::effect($line, $by), $this->effects))
            ->withMasks(array_map(fn (Mask $mask): Mask => $mask->scaled($by), $this->masks))
            ->withDistress(array_map(fn (Wear $wear): Wear => Scaling::wear($wear, $by), $this->distress))
            ->withRepeat($this->repeat?->scaled($by, $aboutX, $aboutY));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'on' => $this->on,
            'role' => $this->role->toArray(),
            'source' => $this->source->toArray(),
            ...($this->placement === null ? [] : ['placement' => $this->placement->toArray()]),
            'opacity' => $this->opacity,
            'blend' => $this->blend->value,
            'effects' => array_map(fn (EffectLine $line): array => $line->toArray(), $this->effects),
            'masks' => array_map(fn (Mask $mask): array => $mask->toArray(), $this->masks),
            'distress' => array_map(fn (Wear $wear): array => $wear->toArray(), $this->distress),
            ...($this->repeat === null ? [] : ['repeat' => $this->repeat->toArray()]),
            ...($this->follows === null ? [] : ['follows' => $this->follows->toArray()]),
        ];
    }

    private static function not(Source $other): null
    {
        return null;
    }

    /** Turns copies into separate layers if a repeat can no longer describe them. */
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
        $layer = $this->withSource($this->source->each($child));

        return $this->placement === null ? $layer : $layer->withPlacement($placement($this->placement));
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, with the changes applied)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
