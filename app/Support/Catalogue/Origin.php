<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

/** Where a figure comes from. */
enum Origin: string
{
    case Rankings = 'rankings of the compared days';
    case Figures = 'keyword metrics, by the rulebook’s source order';
    case PageOne = 'imported page-one results, and features from rankings';
    case Words = 'calculated from the words, by the rulebook';
    case Curve = 'calculated with the CTR curve';
    case Chances = 'calculated with the position model';
    case Rules = 'calculated by the rulebook';
    case People = 'decisions in this study';
}
