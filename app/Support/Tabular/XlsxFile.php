<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use OpenSpout\Common\Entity\Cell;
use OpenSpout\Common\Entity\Style\Style;
use OpenSpout\Writer\Common\Creator\Style\StyleBuilder;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;

/** Writes a table as a spreadsheet: typed cells, text never run as a formula, a frozen heading, widths that fit. */
final class XlsxFile
{
    public const MIME = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
    private const TEXT_WIDTH = 34.0;
    private const NUMBER_WIDTH = 13.0;
    private const TEXT_COLUMNS = ['keyword', 'own_url', 'topic', 'item', 'tactic', 'best_competitor'];

    public function write(Table $table, string $path): void
    {
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        foreach ($table->headings as $number => $heading) {
            $writer->setColumnWidth(\in_array($heading, self::TEXT_COLUMNS, true) ? self::TEXT_WIDTH : self::NUMBER_WIDTH, $number + 1);
        }
        $writer->getCurrentSheet()->setSheetView(new FrozenHeading($table->title === null ? 1 : 2));
        $bold = (new StyleBuilder())->setFontBold()->build();
        if ($table->title !== null) {
            $writer->addRow(WriterEntityFactory::createRow(self::cells([$table->title]), new Style()));
        }
        $writer->addRow(WriterEntityFactory::createRow(self::cells($table->headings), $bold));
        foreach ($table->rows as $row) {
            $writer->addRow(WriterEntityFactory::createRow(self::cells($row), new Style()));
        }
        $writer->close();
    }

    /**
     * @param list<string|int|float|bool|null> $values
     *
     * @return list<Cell>
     */
    private static function cells(array $values): array
    {
        return array_map(static function (string|int|float|bool|null $value): Cell {
            $cell = WriterEntityFactory::createCell($value);
            if (\is_string($value) && $value !== '') {
                // A text that begins with = would else become a formula.
                $cell->setType(Cell::TYPE_STRING);
            }

            return $cell;
        }, $values);
    }
}
