<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\ParameterKind;
use TallCrow\Render\Placer;
use TallCrow\Texture\Wear;

/** Sets a choice or colour of an effect or of wear: the paper of a fill, the colour of a ring, the texture of wear. */
final readonly class SetChoice extends Operation
{
    /**
     * @param  string  $id  empty for wear of the whole sheet
     * @param  int  $line  0 is the first
     * @param  string  $name  of an effect's parameter; "texture" of wear
     */
    public function __construct(public string $id, public LineList $list, public int $line, public string $name, public string $value) {}

    public static function name(): string
    {
        return 'set-choice';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'list', 'line', 'name', 'value');

        return new self($node->text('id', 40, ''), $node->choice('list', LineList::class), $node->integer('line', 0, 40), $node->text('name', 40), $node->text('value', 60));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->id === '') {
            return Edited::of($artwork->withDistress($this->set($artwork->distress, $this->worn(...), 'The sheet')));
        }

        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => match ($this->list) {
            LineList::Effects => $layer->withEffects($this->set($layer->effects, $this->effect(...), $layer->called())),
            LineList::Distress => $layer->withDistress($this->set($layer->distress, $this->worn(...), $layer->called())),
            LineList::Masks => throw EditRefused::noSuchLine($layer->called()),
        }));
    }

    /**
     * @template T
     *
     * @param  list<T>  $lines
     * @param  callable(T): T  $change
     * @return list<T>
     */
    private function set(array $lines, callable $change, string $called): array
    {
        $line = $lines[$this->line] ?? throw EditRefused::noSuchLine($called);

        $lines[$this->line] = $change($line);

        return $lines;
    }

    /** A value that the effect does not offer is refused when the sheet is read again. */
    private function effect(EffectLine $line): EffectLine
    {
        foreach ($line->is()::parameters() as $parameter) {
            if ($parameter->name === $this->name && ($parameter->choices !== [] || $parameter->kind === ParameterKind::Colour)) {
                return new EffectLine($line->kind, $line->values->with($this->name, $this->value), $line->on);
            }
        }
        throw EditRefused::notOffered($this->name);
    }

    private function worn(Wear $wear): Wear
    {
        return $this->name === 'texture' ? $wear->withTexture($this->value) : throw EditRefused::notOffered($this->name);
    }
}
