<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Models\Study;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileDay;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Support\Facades\DB;

/** The newest import whose file was named alike but for its day: a month's file takes the choices of the month before. */
final readonly class PreviousImportQuery
{
    /** Imports that are looked at, the newest. */
    private const LOOKED_AT = 500;

    /** @param array<string, string> $mapping field → header */
    private function __construct(
        public string $fileName,
        public ImportKind $kind,
        public ?string $domain,
        public ?string $channel,
        public bool $skippedBadRows,
        private array $mapping,
    ) {
    }

    /**
     * Whether every column that was used then is there again.
     *
     * @param list<string> $headers
     */
    public function hadHeadersOf(array $headers): bool
    {
        return array_diff(array_map(Field::fold(...), $this->mapping), array_map(Field::fold(...), $headers)) === [];
    }

    public static function find(Study $study, string $fileName): ?self
    {
        $wanted = FileDay::nameWithout($fileName);
        $imports = Import::query()->where('study_id', $study->id)->whereNull('superseded_by')->orderByDesc('id')->limit(self::LOOKED_AT)
            ->get(['id', 'file_name', 'kind', 'mapping', 'rows_bad']);
        foreach ($imports as $import) {
            if (FileDay::nameWithout($import->file_name) === $wanted) {
                return self::of($import);
            }
        }

        return null;
    }

    private static function of(Import $import): self
    {
        /** @var list<object{entry: string, channel: string}> $snapshots */
        $snapshots = DB::table('snapshots')->join('domains', 'domains.id', '=', 'domain_id')->where('import_id', $import->id)
            ->distinct()->limit(2)->get(['entry', 'channel'])->all();
        $only = \count($snapshots) === 1 ? $snapshots[0] : null;

        return new self($import->file_name, $import->kind, $only?->entry, $only?->channel, $import->rows_bad > 0, $import->mapping);
    }
}
