<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\PlanOpportunities;
use App\Actions\Plans\ProposedPlan;
use App\Exceptions\UserError;
use App\Support\Tabular\TableFormat;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\Month;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Output\OutputInterface;

final class PlanCommand extends ReachCommand
{
    private const NUMBER = '/^(\d{1,9}(\.\d{1,9})?|\.\d{1,9})$/D';

    protected $signature = 'reach:plan {slug : Short name of the study}
        {--months=6 : Months to plan, 1 to 60}
        {--capacity=10 : Days of work in each month}
        {--start= : First month, YYYY-MM; next month by default}
        {--by=topic : topic (pages) or keyword}
        {--goal= : Visits a month to win; finds the smallest capacity}
        {--until= : Month to reach the goal in, YYYY-MM}
        {--odds=.8 : Share of simulations that must reach the goal, above 0 and below 1}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Propose a plan for a capacity or a goal';

    protected $help = "Examples:\n  php artisan reach:plan bees --months=3 --capacity=12.5 --start=2026-12 --out=plan.csv\n".
        '  php artisan reach:plan bees --goal=3000 --until=2027-06 --odds=.8';

    public function handle(EnsureComparison $ensure, PlanOpportunities $make): int
    {
        $this->format();
        $months = $this->wholeNumber('months', 1, 60);
        $capacity = $this->number('capacity', 9999);
        $isByTopic = $this->oneOf('by', ['topic', 'keyword']) === 'topic';
        $start = $this->month('start') ?? Month::parse(now('UTC')->format('Y-m'))->plus(1);
        $goal = $this->goal();
        $study = $this->study();
        $comparison = $ensure->execute(ComparisonOptions::shownBy($study), $this->progress());
        $plan = $goal === null
            ? $make->execute($study, $comparison, $months, $capacity, $start, $isByTopic)
            : $make->towards($goal, $study, $comparison, $start, $isByTopic);
        $code = $this->export($plan->table());
        $this->tellNotes($plan);

        return $code;
    }

    private function goal(): ?Goal
    {
        $asked = $this->optionalText('goal');
        $until = $this->month('until');
        $odds = $this->number('odds', 1);
        if ($odds <= 0.0 || $odds >= 1.0) {
            throw new InvalidOptionException('--odds takes a number between 0 and 1.');
        }
        if ($asked === null) {
            return $until === null ? null : throw new InvalidOptionException('--until needs --goal.');
        }
        $visits = $this->number('goal', 1_000_000_000);
        $until ??= throw new InvalidOptionException('--goal needs --until, the month to reach it in.');

        return $visits > 0.0 ? new Goal($visits, $until, $odds) : throw UserError::because('goal', '--goal takes a number above 0.');
    }

    private function month(string $name): ?Month
    {
        $text = $this->optionalText($name);

        return $text === null ? null : Month::parse($text);
    }

    private function number(string $name, int $most): float
    {
        $text = $this->text($name);
        if (preg_match(self::NUMBER, $text) !== 1 || (float) $text > $most) {
            throw new InvalidOptionException(
                sprintf('--%s takes a number from 0 to %d, not "%s".', $name, $most, InvalidValue::quote($text)),
            );
        }

        return (float) $text;
    }

    /** On standard error, a line each, so that the plan itself can be piped. */
    private function tellNotes(ProposedPlan $plan): void
    {
        $lines = $this->format() === TableFormat::Json
            ? array_map(
                static fn(string $name, mixed $said): string => json_encode([$name => $said], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                array_keys($plan->noted()),
                array_values($plan->noted()),
            )
            : $plan->notes();
        foreach ($lines as $line) {
            $this->output->getErrorStyle()->writeln($line, OutputInterface::OUTPUT_RAW);
        }
    }
}
