<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Comparisons\ComparisonOrder;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Imports\DomainFinder;
use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOrder;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Models\Study;
use App\Models\User;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;
use StandIn\DemoFiles;
use StandIn\Market;
use StandIn\MarketDomain;

/** Makes the demo study: files of the made-up market, brought in as any other file would be. */
final readonly class LoadDemo
{
    public const SLUG = 'thornfield';
    public const PASSWORD = 'smoke-and-honey';

    /** Name → email, role in the demo study, administrator or not. */
    private const PEOPLE = [
        'Edda Quill' => ['editor@thornfield-apiary.example', 'editor', false],
        'Rowan Sedge' => ['reader@thornfield-apiary.example', 'reader', false],
        'Avis Thorne' => ['admin@thornfield-apiary.example', 'editor', true],
    ];

    public function __construct(private SaveStudy $save, private ImportFile $import, private EnsureComparison $ensure, private PublicSuffixList $suffixes)
    {
    }

    /** @param \Closure(string): void $tell told what is being done */
    public function execute(string $folder, \DateTimeImmutable $lastMonth, \Closure $tell): Study
    {
        $hosts = array_map(static fn(MarketDomain $domain): string => $domain->host, Market::domains());
        $study = $this->save->execute(new StudyDraft(self::SLUG, 'Thornfield Apiary', $hosts[0], \array_slice($hosts, 1), 'GB', 'en', 'desktop'));
        $this->invite($study);
        $tell('Drawing the market');
        $files = (new DemoFiles(new Market(), $folder, $lastMonth))->write();
        foreach ($files as $number => $file) {
            $tell(sprintf('Importing file %d of %d', $number + 1, \count($files)));
            $this->importOne($study, $file);
        }
        $tell('Comparing and weighing');
        $this->ensure->execute(ComparisonOrder::shownBy($study->refresh()));

        return $study;
    }

    private function invite(Study $study): void
    {
        foreach (self::PEOPLE as $name => [$email, $role, $isAdministrator]) {
            $user = User::query()->firstOrCreate(['email' => $email], ['name' => $name, 'password' => self::PASSWORD, 'is_administrator' => $isAdministrator]);
            $study->members()->syncWithoutDetaching([$user->id => ['role' => $role]]);
        }
    }

    /** @param array{kind: string, file: string, date: string, domain: ?string, channel: string} $file */
    private function importOne(Study $study, array $file): void
    {
        $study->load('domains');
        $this->import->execute(new ImportOrder(
            $study,
            ImportKind::from($file['kind']),
            $file['file'],
            basename($file['file']),
            $file['date'],
            $file['domain'] === null ? null : (new DomainFinder($study, $this->suffixes))->get($file['domain']),
            $file['channel'],
        ));
    }
}
