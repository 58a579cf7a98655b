<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Reading;

/** The constraints for fitting the words of a slot. Lengths are in inches on the sheet; letter heights are cap heights. */
final readonly class FitRule
{
    /**
     * @param  float  $least  least letter height; 0 for no limit
     * @param  ?float  $most  greatest letter height
     * @param  ?float  $widest  greatest width of the words
     * @param  string  $within  a layer whose width limits that of the words; empty for none
     * @param  float  $tighter  by how much tracking may be reduced, in thousandths of an em; tried first
     * @param  int  $lines  into how many lines the words may be broken; tried next
     * @param  string  $long  condensed font for words that still do not fit; empty for none
     * @param  string  $instead  fallback font for words with letters that the pattern's font lacks; empty for none
     */
    public function __construct(
        public Keep $keep = Keep::Width,
        public float $least = 0.0,
        public ?float $most = null,
        public ?float $widest = null,
        public string $within = '',
        public float $tighter = 0.0,
        public int $lines = 1,
        public string $long = '',
        public string $instead = '',
    ) {}

    public static function read(Reading $node): self
    {
        $node = $node->knows('keep', 'least', 'most', 'widest', 'within', 'tighter', 'lines', 'long', 'instead');
        $optional = fn (string $key): ?float => $node->isNull($key) ? null : $node->number($key, 0.01, 100);

        return new self(
            $node->choice('keep', Keep::class, Keep::Width), $node->number('least', 0, 100, 0), $optional('most'), $optional('widest'), $node->text('within', 40, ''), $node->number('tighter', 0, 200, 0),
            $node->integer('lines', 1, 6, 1), $node->asset('long', ''), $node->asset('instead', ''),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['keep' => $this->keep->value, 'least' => $this->least, 'most' => $this->most, 'widest' => $this->widest, 'within' => $this->within, 'tighter' => $this->tighter, 'lines' => $this->lines, 'long' => $this->long, 'instead' => $this->instead];
    }
}
