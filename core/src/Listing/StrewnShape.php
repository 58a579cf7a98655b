<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** Props that are scattered around a garment. */
enum StrewnShape: string
{
    case Leaf = 'leaf';
    case Pebble = 'pebble';
    case Twig = 'twig';

    /** SVG in a box from -1 to 1, without a fill. */
    public function outline(): string
    {
        return match ($this) {
            self::Leaf => 'M0 -1C0.75 -0.55 0.7 0.35 0 1C-0.7 0.35 -0.75 -0.55 0 -1Z',
            self::Pebble => 'M-0.9 0.1C-0.95 -0.5 -0.3 -0.75 0.2 -0.7C0.8 -0.6 1 -0.1 0.85 0.35C0.6 0.8 -0.8 0.75 -0.9 0.1Z',
            self::Twig => 'M-0.06 1L-0.04 -0.1L-0.45 -0.6L-0.36 -0.65L0 -0.25L0.03 -1L0.09 -1L0.08 0L0.4 -0.3L0.46 -0.22L0.08 0.2L0.06 1Z',
        };
    }

    /** Lines drawn on top of it. */
    public function veins(): string
    {
        return $this === self::Leaf ? 'M0 -0.95L0 1.25M0 -0.4L0.36 -0.6M0 -0.4L-0.36 -0.6M0 0.05L0.42 -0.16M0 0.05L-0.42 -0.16M0 0.5L0.3 0.3M0 0.5L-0.3 0.3' : '';
    }
}
