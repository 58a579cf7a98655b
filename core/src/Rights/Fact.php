<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** One fact of a licence, with its source in the licence's text. */
final readonly class Fact
{
    public const MOST_TEXT = 500;

    private function __construct(
        public FactName $name,
        /** One of the fact's possible answers. */
        public string $value,
        /** The limit, if the fact has one. */
        public ?int $number = null,
        /** Places, the required credit, or a reason. */
        public string $text = '',
        /** The clause that states it, such as "section 3(a)(1)". */
        public string $clause = '',
        /** A quotation from that clause. */
        public string $quote = '',
    ) {}

    public static function unknown(FactName $name): self
    {
        return new self($name, FactName::UNKNOWN);
    }

    /** @throws LicenceRefused */
    public static function of(FactName $name, string $value, ?int $number = null, string $text = '', string $clause = '', string $quote = ''): self
    {
        if (! array_key_exists($value, $name->answers())) {
            throw LicenceRefused::answer($name, $value);
        }
        $limited = $name === FactName::Sales && ! in_array($value, ['unlimited', FactName::UNKNOWN], true);
        if ($limited && ($number === null || $number < 1)) {
            throw LicenceRefused::withoutNumber($name);
        }
        if ($name === FactName::Territory && $value === 'named' && trim($text) === '') {
            throw LicenceRefused::withoutPlaces();
        }

        return new self($name, $value, $limited ? $number : null, mb_substr(trim($text), 0, self::MOST_TEXT), mb_substr($clause, 0, 120), mb_substr($quote, 0, self::MOST_TEXT));
    }

    public function isUnknown(): bool
    {
        return $this->value === FactName::UNKNOWN;
    }

    public function says(): string
    {
        return $this->name->answers()[$this->value].($this->number === null ? '' : ": $this->number").($this->text === '' ? '' : ": $this->text");
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(['value' => $this->value, 'number' => $this->number, 'text' => $this->text, 'clause' => $this->clause, 'quote' => $this->quote], fn (mixed $part): bool => $part !== null && $part !== '');
    }
}
