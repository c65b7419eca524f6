<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use App\Models\Comparison;
use App\Models\Study;
use App\Models\Upload;
use App\Support\Rows\RowStorage;
use App\Support\Texts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Takes studies away for good whose days are over: every row in every table, and their files. */
final readonly class PruneStudies
{
    /** Tables that no foreign key empties, as they are split by study; and what must go before the domains it names. */
    private const TABLES = [
        'plan_items', 'rankings', 'results', 'metrics', 'performance', 'links', 'pages', 'page_links', 'comparison_rows',
    ];

    public function __construct(private RowStorage $storage)
    {
    }

    /** @return int how many */
    public function execute(): int
    {
        $days = config()->integer('reach.deleted_days');
        /** @var list<Study> $studies */
        $studies = Study::onlyTrashed()->where('deleted_at', '<', now()->subDays($days))->orderBy('id')->get()->all();
        array_walk($studies, $this->forget(...));

        return \count($studies);
    }

    private function forget(Study $study): void
    {
        $files = Texts::list(DB::table('uploads')->where('study_id', $study->id)->pluck('id')->all());
        DB::transaction(function () use ($study): void {
            foreach (Comparison::query()->where('study_id', $study->id)->where('has_own_rows', true)->get() as $comparison) {
                $this->storage->forget($study->id, $comparison->id, true);
            }
            foreach (self::TABLES as $table) {
                DB::table($table)->where('study_id', $study->id)->delete();
            }
            $study->forceDelete();
        });
        foreach ($files as $file) {
            Storage::delete(Upload::FOLDER.'/'.$file);
        }
    }
}
