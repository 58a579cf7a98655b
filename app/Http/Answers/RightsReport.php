<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Rights\JobRights;
use TallCrow\Rights\Caution;
use TallCrow\Rights\Watched;

/** The rights report of a design, from the terms stated by the shop. Not legal advice. */
final readonly class RightsReport extends Answer
{
    /**
     * @param  list<JudgedPiece>  $pieces  the gravest first
     * @param  list<WatchHit>  $watched
     * @param  list<CautionTold>  $cautions
     * @param  list<string>  $turned  what is judged otherwise now than when a file was last made
     */
    public function __construct(
        public string $ruling,
        public string $says,
        public array $pieces,
        public array $watched,
        public array $cautions,
        public array $turned,
        public string $credits,
        public UsageCard $usage,
    ) {}

    public static function of(JobRights $rights): self
    {
        return new self(
            $rights->ruling->value, $rights->ruling->says(), array_map(fn (array $one): JudgedPiece => JudgedPiece::of($one['asset'], $one['judgement']), $rights->pieces),
            array_map(fn (array $one): WatchHit => self::hit(...$one), $rights->watched), array_map(fn (Caution $one): CautionTold => new CautionTold($one->value, $one->says(), $one->register()), $rights->cautions),
            $rights->turned, $rights->credits(), UsageCard::of($rights->usage),
        );
    }

    private static function hit(Watched $watched, string $found): WatchHit
    {
        return new WatchHit($watched->phrase, $found, $watched->note, $watched->on?->format('Y-m-d'));
    }
}
