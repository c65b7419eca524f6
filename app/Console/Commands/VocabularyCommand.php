<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Vocabulary\VocabularyQuery;
use App\Actions\Vocabulary\WriteContract;
use App\Actions\Vocabulary\WriteSentenceTable;

final class VocabularyCommand extends ReachCommand
{
    protected $signature = 'reach:vocabulary {--write : Update the table in docs/sentence.md, and names and '
        .'columns in the API\'s document}';

    protected $description = 'Print every clause, column, criterion and import kind as JSON';

    protected $help = 'Example: php artisan reach:vocabulary';

    protected $hidden = true;

    public function handle(VocabularyQuery $read, WriteSentenceTable $table, WriteContract $contract): int
    {
        $json =
            json_encode($read->execute(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
        if ($this->option('write') !== true) {
            $this->output->write($json);

            return self::SUCCESS;
        }
        self::renew(WriteSentenceTable::DOCUMENT, $table->into(...));
        self::renew(WriteContract::DOCUMENT, $contract->into(...));

        return self::SUCCESS;
    }

    /** @param \Closure(string): string $into */
    private static function renew(string $document, \Closure $into): void
    {
        $path = base_path($document);
        file_put_contents($path, $into((string) file_get_contents($path)));
    }
}
