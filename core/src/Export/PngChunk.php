<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** One chunk of a PNG file (PNG Specification, Third Edition, §5.3). */
final readonly class PngChunk
{
    public function __construct(
        public string $type,
        public string $data,
    ) {}

    /** pHYs, §11.3.4.3: pixels per metre both ways. */
    public static function density(int $perMetre): self
    {
        return new self('pHYs', pack('NNC', $perMetre, $perMetre, 1));
    }

    /** sRGB, §11.3.2.5, perceptual intent. */
    public static function srgb(): self
    {
        return new self('sRGB', "\0");
    }

    /** iTXt, §11.3.3.4: a keyword and UTF-8 text, not compressed. */
    public static function text(string $keyword, string $text): self
    {
        return new self('iTXt', $keyword."\0\0\0\0\0".str_replace("\0", '', $text));
    }

    public function bytes(): string
    {
        $body = $this->type.$this->data;

        return pack('N', strlen($this->data)).$body.pack('N', crc32($body));
    }
}
