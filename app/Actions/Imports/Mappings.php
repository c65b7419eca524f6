<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Study;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileProblem;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Support\Facades\DB;

/** Remembers, per study and header, which column a person said is which field. */
final class Mappings
{
    /**
     * The columns as the person says now, else as they were said for the same header before, else as their names tell.
     *
     * @param list<string> $headers
     *
     * @throws FileProblem
     */
    public function plan(ImportOptions $order, array $headers): ColumnPlan
    {
        $remembered = array_diff($this->recall($order->study, $order->kind, $headers), $order->mapping);

        return ColumnPlan::match($order->kind, $headers, [...$remembered, ...$order->mapping]);
    }

    /**
     * The same as far as it goes: a column that is still missing, or named twice, does not lose those that were chosen.
     *
     * @param list<string> $headers
     *
     * @return array<string, string> field → header
     */
    public function partial(ImportOptions $order, array $headers): array
    {
        $remembered = array_diff($this->recall($order->study, $order->kind, $headers), $order->mapping);

        return ColumnPlan::partial($order->kind, $headers, [...$remembered, ...$order->mapping]);
    }

    /** @param list<string> $headers */
    public function remember(ImportOptions $order, array $headers): void
    {
        if ($order->mapping === []) {
            return;
        }
        $mapping = [...$this->recall($order->study, $order->kind, $headers), ...$order->mapping];
        DB::table('mappings')->updateOrInsert(
            ['study_id' => $order->study->id, 'kind' => $order->kind->value, 'header_sha256' => self::fingerprint($headers)],
            ['mapping' => json_encode($mapping, JSON_THROW_ON_ERROR)],
        );
    }

    /**
     * @param list<string> $headers
     *
     * @return array<string, string> field → header
     */
    private function recall(Study $study, ImportKind $kind, array $headers): array
    {
        $kept = DB::table('mappings')
            ->where('study_id', $study->id)
            ->where('kind', $kind->value)
            ->where('header_sha256', self::fingerprint($headers))
            ->value('mapping');
        /** @var array<string, ?string> $mapping */
        $mapping = \is_string($kept) ? json_decode($kept, true) : [];

        return array_filter($mapping, is_string(...));
    }

    /** @param list<string> $headers */
    private static function fingerprint(array $headers): string
    {
        return hash('sha256', implode("\n", array_map(Field::fold(...), $headers)));
    }
}
