<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

/** Where a figure comes from. */
enum Origin: string
{
    case Rankings = 'the ranking lists of the compared days';
    case Figures = 'keyword figures, by the order of sources in the rulebook';
    case PageOne = 'page one as it was imported, and the features that rankings tell';
    case Words = 'worked out from the words, by the rulebook';
    case Curve = 'worked out with the CTR curve';
    case Chances = 'worked out with the position model';
    case Rules = 'worked out by the rulebook';
    case People = 'what people decided';
}
