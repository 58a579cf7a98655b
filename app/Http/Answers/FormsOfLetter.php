<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The letters of a layer's words, and the forms of one of them. */
final readonly class FormsOfLetter extends Answer
{
    /**
     * @param  list<LetterOfWords>  $letters
     * @param  list<FormOfLetter>  $forms  the usual one first
     */
    public function __construct(public array $letters, public array $forms) {}
}
