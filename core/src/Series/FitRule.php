<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Reading;

/** How the words of a slot must fit. Lengths are inches on the sheet; letters are measured by their capitals. */
final readonly class FitRule
{
    /**
     * @param  float  $least  height of letters that may not be undercut; 0 for none
     * @param  ?float  $most  height that letters may not pass
     * @param  ?float  $widest  width that words may not pass
     * @param  string  $within  a piece whose width words may not pass; empty for none
     * @param  float  $tighter  thousandths of an em that letters may move together, tried first
     * @param  int  $lines  into which words may be broken, tried next
     * @param  string  $long  font for words that still do not fit; empty for none
     * @param  string  $instead  font for words with letters that the pattern's font lacks; empty for none
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
