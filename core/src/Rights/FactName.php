<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** The facts that a licence may state about a use. A fact may be unknown, which is not permission. */
enum FactName: string
{
    public const UNKNOWN = 'unknown';

    case Commercial = 'commercial';
    case PrintOnDemand = 'print-on-demand';
    case Unaltered = 'unaltered';
    case Changed = 'changed';
    case Sales = 'sales';
    case Territory = 'territory';
    case Credit = 'credit';
    case ShareAlike = 'share-alike';
    case TradeMark = 'trade-mark';
    case AfterEnd = 'after-end';
    case Generated = 'generated';
    case Person = 'person';
    case Release = 'release';
    case Aged = 'aged';

    /** The fact as a question to the seller. */
    public function question(): string
    {
        return match ($this) {
            self::Commercial => 'May it be used to earn money?',
            self::PrintOnDemand => 'May it be printed on goods that are made when somebody buys one?',
            self::Unaltered => 'May it be printed as it came, alone?',
            self::Changed => 'May it be changed: cut, coloured, worn, joined with other art?',
            self::Sales => 'Is the number of sales limited?',
            self::Territory => 'Where in the world may it be sold?',
            self::Credit => 'Must somebody be named?',
            self::ShareAlike => 'Must the design be given away under the same licence?',
            self::TradeMark => 'May it be part of a logo or trade mark?',
            self::AfterEnd => 'What becomes of listed designs when the licence or subscription ends?',
            self::Generated => 'Was it made by a generator?',
            self::Person => 'Does it show a person, or a house, a car or a thing that somebody owns?',
            self::Release => 'Do you hold that person\'s or owner\'s written consent?',
            self::Aged => 'Is it so old that nobody\'s rights are left?',
        };
    }

    /** Hint what to look for in the licence's text. */
    public function example(): string
    {
        return match ($this) {
            self::Commercial => '"For personal use only" is a no. "Commercial licence included" is a yes.',
            self::PrintOnDemand => '"Not for print on demand", or "POD needs the extended licence".',
            self::Unaltered => '"Must be part of a new design", or "may not be sold as is".',
            self::Changed => '"No derivatives" is a no.',
            self::Sales => '"Up to 500 sales", each design or all together.',
            self::Territory => 'Most say "worldwide". Some name countries.',
            self::Credit => '"Please credit ..." with the words that they want, and where.',
            self::ShareAlike => '"Share alike", as in CC BY-SA.',
            self::TradeMark => '"Not for use in logos" is usual for clip art.',
            self::AfterEnd => '"Designs made while subscribed may stay on sale", or "must be taken down".',
            self::Generated => 'The place that it came from says so, or you made it so.',
            self::Person => 'A face that can be known, a portrait, a private house.',
            self::Release => 'A signed model or property release.',
            self::Aged => 'A print of 1880, and why you think so.',
        };
    }

    /** @return array<string, string> wording of the answers by value; "unknown" is last */
    public function answers(): array
    {
        return match ($this) {
            self::PrintOnDemand => ['yes' => 'yes', 'no' => 'no', 'extended-only' => 'only by an extended licence'],
            self::Unaltered => ['yes' => 'yes', 'no' => 'no, only as part of a new design'],
            self::Sales => ['unlimited' => 'no limit', 'each-asset' => 'so many for each piece', 'each-design' => 'so many for each design', 'in-all' => 'so many in all'],
            self::Territory => ['worldwide' => 'everywhere', 'named' => 'only where it says'],
            self::Credit => ['no' => 'no', 'required' => 'yes, as it says'],
            self::AfterEnd => ['no-end' => 'it does not end', 'stay' => 'they may stay', 'taken-down' => 'they must come down'],
            default => ['yes' => 'yes', 'no' => 'no'],
        } + [self::UNKNOWN => 'I do not know'];
    }

    /** Whether an answer may include text: places, a credit, a reason. */
    public function takesText(): bool
    {
        return in_array($this, [self::Territory, self::Credit, self::Aged], true);
    }

    /** Whether the answer includes a numeric limit. */
    public function takesNumber(): bool
    {
        return $this === self::Sales;
    }
}
