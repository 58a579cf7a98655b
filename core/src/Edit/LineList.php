<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** The lists that a layer has; the sheet has only the last of them. */
enum LineList: string
{
    case Effects = 'effects';
    case Masks = 'masks';
    case Distress = 'distress';
}
