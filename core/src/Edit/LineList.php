<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** The lists of lines that a layer has; the sheet has the last of them. */
enum LineList: string
{
    case Effects = 'effects';
    case Masks = 'masks';
    case Distress = 'distress';
}
