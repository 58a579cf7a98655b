<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;
use TallCrow\Geometry\Affine;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;
use TallCrow\Texture\Wear;

/** A whole build sheet. Its picture depends on nothing but the sheet and its assets. */
final readonly class Artwork
{
    public const FORMAT = 'tallcrow.artwork/3';

    /**
     * @param  list<Layer>  $layers  in print order, the first at the bottom
     * @param  list<Wear>  $distress  wear over the whole sheet
     * @param  list<Swatch>  $swatches  named colours, to which effects refer
     * @param  list<Meant>  $meant  findings that the seller marked as intended
     */
    private function __construct(
        public string $title,
        public Brief $brief,
        public Sheet $sheet,
        public array $layers = [],
        public array $distress = [],
        public array $swatches = [],
        public Limits $limits = new Limits,
        public array $meant = [],
    ) {}

    public static function blank(string $title, Brief $brief, Sheet $sheet): self
    {
        return new self($title, $brief, $sheet);
    }

    public function withBrief(string $title, Brief $brief): self
    {
        return $this->with(['title' => $title, 'brief' => $brief]);
    }

    public function withSheet(Sheet $sheet): self
    {
        return $this->with(['sheet' => $sheet]);
    }

    /** @param  list<Layer>  $layers */
    public function withLayers(array $layers): self
    {
        return $this->with(['layers' => $layers]);
    }

    /** @param  list<Wear>  $distress */
    public function withDistress(array $distress): self
    {
        return $this->with(['distress' => $distress]);
    }

    /** @param  list<Swatch>  $swatches */
    public function withSwatches(array $swatches): self
    {
        return $this->with(['swatches' => $swatches]);
    }

    /** @param  list<Meant>  $meant */
    public function meaning(array $meant): self
    {
        return $this->with(['meant' => $meant]);
    }

    public function withLimits(Limits $limits): self
    {
        return $this->with(['limits' => $limits]);
    }

    /** Whether any wear is active. */
    public function isWorn(): bool
    {
        $live = array_merge($this->liveDistress(), ...array_map(fn (Layer $layer): array => $layer->liveDistress(), $this->everyLayer()));

        return $live !== [];
    }

    /** Without any wear. */
    public function unworn(): self
    {
        return $this->withLayers(array_map(fn (Layer $layer): Layer => $layer->unworn(), $this->layers))->withDistress([]);
    }

    /** @return list<Wear> over the whole sheet */
    public function liveDistress(): array
    {
        return array_values(array_filter($this->distress, fn (Wear $wear): bool => $wear->on));
    }

    /** @return list<Layer> all layers at any depth, groups before their children */
    public function everyLayer(): array
    {
        return array_merge([], ...array_map(fn (Layer $layer): array => $layer->everyLayer(), $this->layers));
    }

    public function layer(string $id): ?Layer
    {
        foreach ($this->everyLayer() as $layer) {
            if ($layer->id === $id) {
                return $layer;
            }
        }

        return null;
    }

    /** Replaces one layer, at any depth. */
    public function withLayer(string $id, Layer $by): self
    {
        return $this->replacing($id, fn (Layer $layer): array => [$by]);
    }

    public function withoutLayer(string $id): self
    {
        return $this->replacing($id, fn (Layer $layer): array => []);
    }

    /**
     * Replaces one layer, at any depth, by any number of layers.
     *
     * @param  \Closure(Layer): list<Layer>  $by
     */
    public function replacing(string $id, \Closure $by): self
    {
        return $this->withLayers(self::replaced($this->layers, $id, $by));
    }

    /**
     * @param  \Closure(list<Layer>): list<Layer>  $change  changes the list that contains the layer
     */
    public function relisting(string $id, \Closure $change): self
    {
        return $this->withLayers(self::relisted($this->layers, $id, $change));
    }

    /** Moves the design to another print area, scaling every length alike. */
    public function refitted(PrintArea $to): self
    {
        return $this->laidOn(Sheet::of($to), Refit::contain($this->sheet->area(), $to));
    }

    /**
     * The design on another sheet: scaled and moved, together with all wear.
     *
     * @param  ?\Closure(Layer, Layer): Layer  $layer  receives a layer before and after scaling; returns the layer to use
     */
    public function laidOn(Sheet $sheet, Refit $refit, ?\Closure $layer = null): self
    {
        $by = $refit->scale;
        $moved = fn (Layer $one): Layer => $one->scaled($by, 0, 0)->moved($refit->shiftX, $refit->shiftY);
        [$from, $to] = [$this->sheet->box()->transformed(Affine::scale($by, $by)), $sheet->box()];

        return $this->withSheet($sheet)
            ->withLayers(array_map(fn (Layer $one): Layer => $layer === null ? $moved($one) : $layer($one, $moved($one)), $this->layers))
            ->withDistress(array_map(fn (Wear $wear): Wear => Scaling::wear($wear, $by)->moved($refit->shiftX, $refit->shiftY, $from, $to), $this->distress));
    }

    /** @return list<string> file names of the fonts and pictures that it uses */
    public function files(): array
    {
        return array_values(array_unique([
            ...array_merge([], ...array_map(fn (Wear $wear): array => $wear->files(), $this->distress)),
            ...array_merge([], ...array_map(fn (Layer $layer): array => $layer->files(), $this->everyLayer())),
        ]));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'title' => $this->title,
            'product' => $this->brief->product->value,
            'side' => $this->brief->side->value,
            'method' => $this->brief->method->value,
            'rule' => $this->brief->rule->value,
            'sheet' => ['width' => $this->sheet->width, 'height' => $this->sheet->height, 'ppi' => $this->sheet->ppi->value],
            'garments' => array_map(fn (Garment $g): array => ['name' => $g->name, 'colour' => $g->colour->toHex()], $this->brief->garments),
            'swatches' => array_map(fn (Swatch $s): array => ['name' => $s->name, 'colour' => $s->colour->toHex()], $this->swatches),
            'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers),
            'distress' => array_map(fn (Wear $wear): array => $wear->toArray(), $this->distress),
            'limits' => $this->limits->toArray(),
        ] + ($this->meant === [] ? [] : ['meant' => array_map(fn (Meant $meant): array => $meant->toArray(), $this->meant)]);
    }

    /**
     * @param  list<Layer>  $layers
     * @param  \Closure(Layer): list<Layer>  $by
     * @return list<Layer>
     */
    private static function replaced(array $layers, string $id, \Closure $by): array
    {
        return array_merge([], ...array_map(
            fn (Layer $layer): array => $layer->id === $id
                ? $by($layer)
                : [$layer->children() === [] ? $layer : $layer->withSource(new GroupSource(self::replaced($layer->children(), $id, $by)))],
            $layers,
        ));
    }

    /**
     * @param  list<Layer>  $layers
     * @param  \Closure(list<Layer>): list<Layer>  $change
     * @return list<Layer>
     */
    private static function relisted(array $layers, string $id, \Closure $change): array
    {
        if (in_array($id, array_map(fn (Layer $layer): string => $layer->id, $layers), true)) {
            return $change($layers);
        }

        return array_map(
            fn (Layer $layer): Layer => $layer->children() === [] ? $layer : $layer->withSource(new GroupSource(self::relisted($layer->children(), $id, $change))),
            $layers,
        );
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, with the changes applied)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
