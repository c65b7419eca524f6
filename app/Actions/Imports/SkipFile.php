<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Study;
use GreaterReach\Core\Intake\FileDay;
use Illuminate\Support\Facades\DB;

/** Remembers that a file is not wanted, by its name without the day, so that next month's is proposed as left out. */
final class SkipFile
{
    private const TABLE = 'left_out_files';

    public function execute(Study $study, string $fileName, bool $isLeftOut): void
    {
        $row = ['study_id' => $study->id, 'name' => FileDay::nameWithout($fileName)];
        $isLeftOut ? DB::table(self::TABLE)->insertOrIgnore($row) : DB::table(self::TABLE)->where($row)->delete();
    }

    public static function isLeftOut(Study $study, string $fileName): bool
    {
        return DB::table(self::TABLE)->where(['study_id' => $study->id, 'name' => FileDay::nameWithout($fileName)])->exists();
    }
}
