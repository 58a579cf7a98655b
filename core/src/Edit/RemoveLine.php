<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Reading;

/** Removes an effect, mask or wear. */
final readonly class RemoveLine extends ChangesLines
{
    /** @param  int  $line  0 is the first */
    public function __construct(string $id, LineList $list, public int $line)
    {
        parent::__construct($id, $list);
    }

    public static function name(): string
    {
        return 'remove-line';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'list', 'line');

        return new self($node->text('id', 40, ''), $node->choice('list', LineList::class), $node->integer('line', 0, 40));
    }

    protected function changed(array $lines, string $called): array
    {
        if (! isset($lines[$this->line])) {
            throw EditRefused::noSuchLine($called);
        }
        unset($lines[$this->line]);

        return array_values($lines);
    }
}
