<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/**
 * Kinds of words on a shirt that somebody may have rights in: typical words for each kind (common practice), and the kind of register to search.
 * Whether rights exist is for the register, the owner and legal advice to say.
 */
enum Caution: string
{
    case Person = 'person';
    case Team = 'team';
    case School = 'school';
    case Mark = 'mark';
    case Newspaper = 'newspaper';
    case Artist = 'artist';

    public function says(): string
    {
        return match ($this) {
            self::Person => 'It may name a person. Names and likenesses of living people, and of some who are dead, are not free to print in many places.',
            self::Team => 'It reads like a team. Names, numbers, colours and emblems of clubs and leagues are often registered.',
            self::School => 'It reads like a school. Names, seals and mascots of schools and colleges are often registered.',
            self::Mark => 'A sign for a mark stands in it. Whoever is not its owner may not print it without leave.',
            self::Newspaper => 'It reads like the head of a newspaper. The words of an old page may be free while the paper\'s name is still a mark.',
            self::Artist => 'It names an author or a style. "After", "by" and "in the style of" may claim what is not so.',
        };
    }

    public function register(): string
    {
        return match ($this) {
            self::Person, self::Artist => 'the person, the heirs, or whoever keeps the rights of the works',
            self::School => 'the school\'s licensing office, and the trade mark register of each country where you sell',
            self::Team => 'the club\'s or league\'s licensing office, and the trade mark register of each country where you sell',
            default => 'the trade mark register of each country where you sell',
        };
    }

    /** @return list<self> the cautions that the words give reason for */
    public static function of(string $words): array
    {
        return array_values(array_filter(self::cases(), fn (self $one): bool => preg_match($one->pattern(), $words) === 1));
    }

    private function pattern(): string
    {
        return match ($this) {
            self::Person => '/\b(?i:mr|mrs|ms|dr|sir|saint|president|king|queen|prince|princess)\b\.?\s+\p{Lu}|\b(?i:rip|in memory of|in loving memory)\b/u',
            self::Team => '/\b(f\.?c|football club|athletics|league|champions|championship|team|varsity)\b/iu',
            self::School => '/\b(university|college|academy|high school|polytechnic|fraternity|sorority|alumni)\b/iu',
            self::Mark => '/[®™℠©]|\b(tm|inc|ltd|gmbh)\b\.?/iu',
            self::Newspaper => '/\b(gazette|tribune|herald|chronicle|daily|the times|observer|extra! extra)\b/iu',
            self::Artist => '/\b(?i:in the style of|after|painted by|drawn by|illustrated by)\s+\p{Lu}/u',
        };
    }
}
