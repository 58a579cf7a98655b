<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Type\Alignment;
use TallCrow\Type\Setting;

final readonly class TextSource implements Source
{
    public function __construct(
        public string $text,
        /** File name of a font among the artwork's assets. */
        public string $font,
        public Alignment $align,
        /** Baseline to baseline, in ems. */
        public float $leading,
    ) {}

    public function setting(): Setting
    {
        return new Setting($this->align, $this->leading);
    }

    public function toArray(): array
    {
        return ['kind' => 'text', 'text' => $this->text, 'font' => $this->font, 'align' => $this->align->value, 'leading' => $this->leading];
    }
}
