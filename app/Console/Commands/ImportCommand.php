<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Imports\BadRows;
use App\Actions\Imports\ImportFailed;
use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOptions;
use App\Actions\Imports\WriteReport;
use App\Exceptions\UserError;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\ImportKind;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class ImportCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:import {slug : Short name of the study} {file : The file to read}
        {--kind= : rankings, keywords, results, performance, domains, links, pages or page_links}
        {--domain= : Domain for rows without one}
        {--date= : Day of rows that have none, YYYY-MM-DD; today when left out}
        {--channel=organic : organic or paid, for rows that say neither}
        {--map=* : field=Header, once for each field that the headers leave open}
        {--dry-run : Read and check everything, keep nothing}
        {--allow-errors=0 : Keep the good rows when at most this many are bad}
        {--report= : File for the list of bad rows; JSON if it ends in .json, else CSV}';

    protected $description = 'Import a file into a study, all or nothing';

    protected $help = 'Example: php artisan reach:import bees rankings.csv --kind=rankings --domain=hivewright.example --date=2026-11-01';

    public function handle(ImportFile $import, WriteReport $report): int
    {
        $kind = ImportKind::from($this->oneOf('kind', array_column(ImportKind::cases(), 'value')));
        $channel = $this->oneOf('channel', ['organic', 'paid']);
        $allowed = $this->wholeNumber('allow-errors', 0, 999_999_999);
        $mapping = $this->mapping();
        $study = $this->study();
        $path = $this->text('file', true);
        if (! is_file($path) || ! is_readable($path)) {
            throw UserError::because('file', sprintf('Can’t read the file "%s".', InvalidValue::quote($path)));
        }
        $domain = $this->optionalText('domain');
        $order = new ImportOptions(
            $study,
            $kind,
            $path,
            basename($path),
            $this->optionalDay('date') ?? now('UTC')->toDateString(),
            $domain === null ? null : $this->domain($study, $domain),
            $channel,
            $mapping,
            $allowed,
            (bool) $this->option('dry-run'),
        );

        return $this->import($import, $report, $order);
    }

    private function import(ImportFile $import, WriteReport $report, ImportOptions $order): int
    {
        $path = $this->optionalText('report');
        $write = static fn(BadRows $rows) => $path === null ? null : $report->execute($rows, $path);
        try {
            $outcome = $import->execute($order, $this->progress());
        } catch (ImportFailed $refused) {
            $write($refused->badRows);
            throw $refused;
        }
        $write($outcome->badRows);
        $this->line(
            sprintf(
                '%s%d rows kept, %d dropped (position over 100 or URL outside the domain), %d bad.',
                $order->isDryRun ? 'Dry run, nothing saved: ' : '',
                $outcome->kept,
                $outcome->dropped,
                $outcome->badRows->total(),
            ),
        );
        if ($outcome->isSameFile) {
            $this->line('This file was imported before.');
        }
        foreach ($outcome->notes as $note) {
            $this->line($note);
        }
        if ($outcome->isAmbiguous) {
            $this->line('The file doesn’t show how it writes numbers, so 1,234 was read as 1234.');
        }

        return self::SUCCESS;
    }

    /** @return array<string, string> field → header */
    private function mapping(): array
    {
        $mapping = [];
        foreach ($this->texts('map') as $pair) {
            $parts = explode('=', $pair, 2);
            $field = trim($parts[0]);
            if (!isset($parts[1]) || $field === '' || isset($mapping[$field])) {
                throw new InvalidOptionException(
                    sprintf('Write --map as field=Header, each field once, not "%s".', InvalidValue::quote($pair)),
                );
            }
            $mapping[$field] = $parts[1];
        }

        return $mapping;
    }
}
