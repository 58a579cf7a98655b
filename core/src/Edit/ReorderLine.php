<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Reading;

/** Moves an effect, mask or wear to another place in its list. */
final readonly class ReorderLine extends ChangesLines
{
    /** @param  int  $from  0 is the first */
    public function __construct(string $id, LineList $list, public int $from, public int $to)
    {
        parent::__construct($id, $list);
    }

    public static function name(): string
    {
        return 'reorder-line';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'list', 'from', 'to');

        return new self($node->text('id', 40, ''), $node->choice('list', LineList::class), $node->integer('from', 0, 40), $node->integer('to', 0, 40));
    }

    protected function changed(array $lines, string $called): array
    {
        if (! isset($lines[$this->from])) {
            throw EditRefused::noSuchLine($called);
        }
        $line = $lines[$this->from];
        unset($lines[$this->from]);
        $lines = array_values($lines);
        array_splice($lines, min($this->to, count($lines)), 0, [$line]);

        return $lines;
    }
}
