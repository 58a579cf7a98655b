<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What is different about the one copy that is changed. */
enum CopyAs: string
{
    case Same = 'same';
    case Coloured = 'another-colour';
    case Hollow = 'hollow';
    case Knockout = 'knocked-out';
}
