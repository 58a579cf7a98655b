<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\Values;
use TallCrow\Effect\Words\Feature;
use TallCrow\Render\Placer;
use TallCrow\Type\FontFeature;
use TallCrow\Type\WhichLetters;

/** Draws some letters of words in another form of the font, such as a swash, or in their usual one again. It replaces what was set for the same letters. */
final readonly class SetForm extends Operation
{
    /**
     * @param  WhichLetters  $letters  any but all of them
     * @param  int  $letter  its number among all, from 1, where one letter is meant
     * @param  string  $tag  the OpenType feature; empty for the usual form
     */
    public function __construct(public string $id, public WhichLetters $letters, public int $letter, public string $tag, public int $value) {}

    public static function name(): string
    {
        return 'set-form';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'letters', 'letter', 'tag', 'value');

        return new self($node->id('id'), WhichLetters::from($node->word('letters', WhichLetters::some())), $node->integer('letter', 1, 9999, 1), $node->text('tag', 4, ''), $node->integer('value', 0, 99, 1));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        if (! $layer->isWords()) {
            throw EditRefused::noWords($layer->called());
        }
        $new = FontFeature::of($this->tag, $this->value, $this->letters, $this->letter);
        $lines = array_values(array_filter($layer->effects, function (EffectLine $line) use ($new): bool {
            $effect = $line->effect();

            return ! $effect instanceof Feature || ! $effect->feature->isForTheSame($new);
        }));
        if ($this->tag !== '') {
            $line = new EffectLine(Feature::kind(), new Values(['tag' => $this->tag, 'value' => (float) $this->value, 'letters' => $this->letters->value, 'letter' => (float) $this->letter]), true);
            array_splice($lines, EffectOrder::place($lines, Feature::class), 0, [$line]);
        }

        return Edited::of($artwork->withLayer($this->id, $layer->withEffects($lines)));
    }
}
