<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** Gathers what the numeric cells of a file show. Where cells disagree the more frequent format wins, then the point. */
final class NumberFormatDetector
{
    private int $points = 0;
    private int $commas = 0;
    private bool $isAmbiguous = false;

    /** @param list<string|int|float> $cells of one row; numbers that the file types itself show nothing */
    public function seeRow(array $cells, ColumnPlan $plan): void
    {
        foreach ($plan->numeric as $cell) {
            $text = $cells[$cell] ?? '';
            if (\is_string($text) && strpbrk($text, '.,') !== false) {
                $this->see($text);
            }
        }
    }

    public function see(string $cell): void
    {
        match (NumberFormat::shownBy(trim($cell))) {
            NumberFormat::DecimalPoint => ++$this->points,
            NumberFormat::DecimalComma => ++$this->commas,
            default => $this->isAmbiguous = $this->isAmbiguous || preg_match('/^\d{1,3}[.,]\d{3}$/D', trim($cell)) === 1,
        };
    }

    public function format(): NumberFormat
    {
        if ($this->points === 0 && $this->commas === 0) {
            return NumberFormat::Undecided;
        }

        return $this->commas > $this->points ? NumberFormat::DecimalComma : NumberFormat::DecimalPoint;
    }

    /** Some number could be read in two ways and nothing in the file decides which. */
    public function isAmbiguous(): bool
    {
        return $this->isAmbiguous && $this->format() === NumberFormat::Undecided;
    }
}
