<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\OddsTable;
use GreaterReach\Core\Statistics\Scale;

/** The rows that one fit is made of, as the regression reads them, with the scales of what is known of them. */
final readonly class PositionRows
{
    /** @param array<string, Scale> $scales feature → scale over single rows, in the order of the table's columns */
    private function __construct(private OddsTable $table, private array $scales)
    {
    }

    /**
     * @param ?int      $without fold that is left out
     * @param list<int> $classes that have rows; the others are left out
     */
    public static function of(PositionGroups $groups, ?int $without, array $classes): self
    {
        $features = self::known($groups->hasAuthority);
        $scales = array_map(static fn(): Scale => new Scale(), $features);
        $table = new OddsTable(\count($scales), \count($classes));
        $isWhole = \count($classes) === PlaceClass::COUNT;
        $wanted = array_flip($classes);
        foreach ($groups->each($without) as [$difficulty, $authority, $hundredths, $halves, $counts, $rows]) {
            $x = [];
            foreach ($features as $name => $feature) {
                $x[] = $value = $feature->of($difficulty, $authority, $hundredths, $halves);
                $scales[$name]->add($value, $rows);
            }
            $table->add($x, array_values($isWhole ? $counts : array_intersect_key($counts, $wanted)));
        }

        return new self($table, $scales);
    }

    /** @return array<string, array{mean: float, sd: float}> feature → scale, of those that are not all alike */
    public function scales(): array
    {
        return array_map(
            static fn(Scale $scale): array => ['mean' => $scale->mean(), 'sd' => $scale->deviation()],
            array_filter($this->scales, static fn(Scale $scale): bool => $scale->varies()),
        );
    }

    /** @return array<string, array{float, float}> feature → the least and the most of it */
    public function ranges(): array
    {
        return array_map(static fn(Scale $scale): array => $scale->range(), $this->scales);
    }

    /** @param array<string, array{mean: float, sd: float}> $scales of the features that are looked at */
    public function standardised(array $scales): OddsTable
    {
        $places = array_flip(array_keys($this->scales));
        $byPlace = [];
        foreach ($scales as $name => $scale) {
            $byPlace[$places[$name]] = $scale;
        }

        return $this->table->standardised($byPlace);
    }

    /** @return array<string, PositionFeature> name → feature, of those that are known of every row */
    private static function known(bool $hasAuthority): array
    {
        $known = [];
        foreach (PositionFeature::cases() as $feature) {
            if ($feature !== PositionFeature::Authority || $hasAuthority) {
                $known[$feature->value] = $feature;
            }
        }

        return $known;
    }
}
