<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\Layer;
use TallCrow\Effect\Edge;
use TallCrow\Effect\MeasuresEdge;

/** How a design is scaled for a place, and which lengths keep their size. */
final readonly class Fitting
{
    /** @param  list<FitKeep>  $keep */
    private function __construct(public FitMode $mode, public array $keep) {}

    public static function by(FitMode $mode, FitKeep ...$keep): self
    {
        return new self($mode, array_values($keep));
    }

    /**
     * From stored data; words that are no longer known are left out.
     *
     * @param  array{mode?: string, keep?: list<string>, ...}  $told
     */
    public static function told(array $told): self
    {
        return new self(FitMode::tryFrom($told['mode'] ?? '') ?? FitMode::Contain, array_values(array_filter(array_map(FitKeep::tryFrom(...), $told['keep'] ?? []))));
    }

    /** @return array{mode: string, keep: list<string>} */
    public function toArray(): array
    {
        return ['mode' => $this->mode->value, 'keep' => array_map(fn (FitKeep $one): string => $one->value, $this->keep)];
    }

    /** A layer after it was scaled for another area, with the lengths that are to be kept set back to what they were. */
    public function kept(Layer $before, Layer $after): Layer
    {
        if ($this->keep === []) {
            return $after;
        }
        $lines = [];
        foreach ($before->effects as $at => $line) {
            $edge = is_a($line->is(), MeasuresEdge::class, true) ? $line->is()::edge() : null;
            $lines[] = match ($edge) {
                null => ($this->keepsWords($before) ? $before : $after)->effects[$at],
                Edge::Ring => ($this->keeps(FitKeep::Rings) ? $before : $after)->effects[$at],
                Edge::Gap => ($this->keeps(FitKeep::Gaps) ? $before : $after)->effects[$at],
            };
        }
        $role = ($this->keeps(FitKeep::Gaps) ? $before : $after)->role;
        if ($this->keepsWords($before)) {
            // Copies are laid around a centre or an axis: it takes its scaled position, and the words keep their distance to it.
            [$wasX, $wasY] = $before->repeat?->on ? [$before->repeat->x, $before->repeat->y] : $before->middle();
            [$isX, $isY] = $after->repeat?->on ? [$after->repeat->x, $after->repeat->y] : $after->middle();

            return $before->moved($isX - $wasX, $isY - $wasY)->withEffects($lines)->withRole($role);
        }
        $was = [];
        foreach ($before->children() as $child) {
            $was[$child->id] = $child;
        }

        return $after->withSource($after->source->each(fn (Layer $child): Layer => $this->kept($was[$child->id], $child)))->withEffects($lines)->withRole($role);
    }

    private function keepsWords(Layer $layer): bool
    {
        return $this->keeps(FitKeep::Words) && $layer->isWords();
    }

    private function keeps(FitKeep $one): bool
    {
        return in_array($one, $this->keep, true);
    }
}
