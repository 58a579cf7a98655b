<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** How a file is used in a print. */
enum PrintedAs: string
{
    case Font = 'font';
    case Picture = 'picture';
    case Fill = 'fill';
    case Mask = 'mask';
    case Wear = 'wear';

    public function says(): string
    {
        return match ($this) {
            self::Font => 'sets words',
            self::Picture => 'is laid',
            self::Fill => 'fills a piece',
            self::Mask => 'masks a piece',
            self::Wear => 'wears ink away',
        };
    }
}
