<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Pulls\PullOptions;
use App\Actions\Pulls\PullStudy;

final class PullCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:pull {slug : Short name of the study}
        {--source=stand-in : A connected source}
        {--date= : Use rankings up to this day, YYYY-MM-DD; the newest by default}
        {--snapshots=1 : Number of snapshots to pull}
        {--domain= : Only this domain of the study}';

    protected $description = 'Fill a study from a connected data source, all or nothing';

    protected $help = 'Example: php artisan reach:pull bees --date=2026-11-01';

    public function handle(PullStudy $pull): int
    {
        $snapshots = $this->wholeNumber('snapshots', 1, 60);
        $study = $this->study();
        $domain = $this->optionalText('domain');
        $order = new PullOptions(
            $study,
            $this->text('source'),
            $this->optionalDay('date'),
            $snapshots,
            $domain === null ? null : $this->domain($study, $domain),
        );
        $pulled = $pull->execute($order, $this->stages());
        $this->line(sprintf('%d rows kept, of %s.', $pulled['rows'], implode(', ', $pulled['days'])));
        foreach ($pulled['notes'] as $note) {
            $this->line($note);
        }

        return self::SUCCESS;
    }
}
