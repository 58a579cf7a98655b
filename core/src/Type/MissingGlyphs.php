<?php

declare(strict_types=1);

namespace TallCrow\Type;

final class MissingGlyphs extends \RuntimeException
{
    /** @param  non-empty-list<string>  $characters */
    private function __construct(
        public readonly array $characters,
        string $message,
    ) {
        parent::__construct($message);
    }

    /** @param  non-empty-list<string>  $characters */
    public static function of(array $characters, string $family): self
    {
        $named = array_map(
            fn (string $c): string => sprintf('%s (U+%04X)', $c, mb_ord($c, 'UTF-8')),
            array_slice($characters, 0, 8),
        );
        $more = count($characters) > 8 ? sprintf(' and %d more', count($characters) - 8) : '';

        return new self($characters, sprintf('%s has no %s%s. Choose another font or other words.', $family, implode(', ', $named), $more));
    }
}
