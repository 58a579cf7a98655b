<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A setting of an OpenType feature such as "swsh", for all letters or for some. */
final readonly class FontFeature
{
    private function __construct(public string $tag, public int $value, public WhichLetters $letters, public int $letter) {}

    /** @param  int  $value  0 turns it off, from 1 on it is the number of the alternate */
    public static function of(string $tag, int $value, WhichLetters $letters = WhichLetters::All, int $letter = 1): self
    {
        return new self((string) preg_replace('/[^A-Za-z0-9]/', '', $tag), $value, $letters, $letter);
    }

    /**
     * @param  list<Character>  $line  the characters of one line
     * @return list<string> in HarfBuzz's notation, with ranges of bytes, such as "swsh[4:5]=1"
     */
    public function forLine(array $line): array
    {
        return $this->letters === WhichLetters::All
            ? [sprintf('%s=%d', $this->tag, $this->value)]
            : array_map($this->forOne(...), array_values(array_filter($line, fn (Character $one): bool => $this->letters->takesIn($one, $this->letter))));
    }

    public function forOne(Character $character): string
    {
        return sprintf('%s[%d:%d]=%d', $this->tag, $character->start, $character->end(), $this->value);
    }

    /** Whether both are set for letters that are told in the same way. */
    public function isForTheSame(self $other): bool
    {
        return $this->letters === $other->letters && ($this->letters !== WhichLetters::One || $this->letter === $other->letter);
    }
}
