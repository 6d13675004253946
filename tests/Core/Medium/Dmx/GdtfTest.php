<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Medium\Dmx\DmxLearns;
use Rundfunk\Medium\Dmx\Gdtf\FixtureRefused;
use Rundfunk\Medium\Dmx\Gdtf\ReadsGdtf;
use Rundfunk\Plan\FixtureSlot;
use Rundfunk\Plan\FixtureSlotKind;
use Tests\Core\CoreTestCase;
use ZipArchive;

/** Archives of fixtures, made up; and archives that somebody made to do harm. The form is that of DIN SPEC 15800, from memory. */
final class GdtfTest extends CoreTestCase
{
    private const XML = <<<'X'
        <?xml version="1.0" encoding="UTF-8" standalone="no" ?>
        <GDTF DataVersion="1.2"><FixtureType Name="Bench Wash" ShortName="BW" LongName="Bench Wash" Manufacturer="Made up" Description="" FixtureTypeID="0">
        <AttributeDefinitions><ActivationGroups/><FeatureGroups/><Attributes>
          <Attribute Name="Dimmer" Pretty="Dim" Feature="Dimmer.Dimmer"/><Attribute Name="Shutter1" Pretty="Sh1" Feature="Beam.Beam"/>
          <Attribute Name="ColorAdd_R" Pretty="R" Feature="Color.RGB"/><Attribute Name="Pan" Pretty="P" Feature="Position.PanTilt"/><Attribute Name="Gobo1" Pretty="G1" Feature="Gobo.Gobo"/>
        </Attributes></AttributeDefinitions>
        <Geometries>
          <Geometry Name="Body"><Axis Name="Yoke"><Geometry Name="Head"/></Axis>
            <GeometryReference Name="P1" Geometry="Pixel"><Break DMXOffset="1" DMXBreak="1"/></GeometryReference>
            <GeometryReference Name="P2" Geometry="Pixel"><Break DMXOffset="2" DMXBreak="1"/></GeometryReference>
          </Geometry>
          <Beam Name="Pixel"/>
        </Geometries>
        <DMXModes>
          <DMXMode Name="Full" Geometry="Body"><DMXChannels>
            <DMXChannel DMXBreak="1" Offset="3,4,5" Geometry="Yoke" InitialFunction="Yoke_Pan.Pan.Pan 1"><LogicalChannel Attribute="Pan"><ChannelFunction Name="Pan 1" Attribute="Pan" DMXFrom="0/2" Default="32768/2"/></LogicalChannel></DMXChannel>
            <DMXChannel DMXBreak="1" Offset="6" Geometry="Head" InitialFunction="Head_Dimmer.Dimmer.Dimmer 1"><LogicalChannel Attribute="Dimmer"><ChannelFunction Name="Dimmer 1" Attribute="Dimmer" DMXFrom="0/1" Default="0/1"/></LogicalChannel></DMXChannel>
            <DMXChannel DMXBreak="1" Offset="7" Geometry="Head" InitialFunction="Head_Shutter1.Shutter1.Open"><LogicalChannel Attribute="Shutter1">
              <ChannelFunction Name="Closed" Attribute="Shutter1" DMXFrom="0/1" Default="0/1"/><ChannelFunction Name="Open" Attribute="Shutter1" DMXFrom="8/1" Default="10/1"/>
              <ChannelFunction Name="Strobe" Attribute="Shutter1Strobe" DMXFrom="16/1" Default="16/1"><ChannelSet Name="Slow" DMXFrom="16/1"/><ChannelSet Name="Fast, mad" DMXFrom="200/1"/></ChannelFunction>
            </LogicalChannel></DMXChannel>
            <DMXChannel DMXBreak="1" Offset="1" Geometry="Pixel"><LogicalChannel Attribute="ColorAdd_R"><ChannelFunction Name="Red" Attribute="ColorAdd_R" DMXFrom="0/1" Default="0/1"/></LogicalChannel></DMXChannel>
            <DMXChannel DMXBreak="1" Offset="" Geometry="Head"><LogicalChannel Attribute="Gobo1"/></DMXChannel>
            <DMXChannel DMXBreak="2" Offset="1" Geometry="Head"><LogicalChannel Attribute="Gobo1"/></DMXChannel>
          </DMXChannels></DMXMode>
          <DMXMode Name="Empty" Geometry="Body"><DMXChannels/></DMXMode>
        </DMXModes></FixtureType></GDTF>
        X;

    /** @param  array<string, string>  $files */
    private static function archive(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gdtf');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    public function test_a_fixture_is_read(): void
    {
        $read = ReadsGdtf::from(self::archive(['thumbnail.png' => 'x', 'description.xml' => self::XML]));
        self::assertSame('Bench Wash', $read['name']);
        self::assertCount(1, $read['modes']);
        self::assertSame(7, $read['modes'][0]->footprint());
        $slots = [];
        foreach ($read['modes'][0]->slots as $slot) {
            $slots[$slot->name] = $slot;
        }
        // A geometry that is referred to stands once for each reference, at the offset of its break.
        self::assertSame(['Red 1', 'Red 2', 'Pan', 'Dimmer', 'Shutter'], array_keys($slots));
        self::assertSame([1, 2], [$slots['Red 1']->at, $slots['Red 2']->at]);
        self::assertEquals(new FixtureSlot('Pan', 3, 4, FixtureSlotKind::Position, 128), $slots['Pan']);
        self::assertEquals(new FixtureSlot('Dimmer', 6, null, FixtureSlotKind::Dimmer, 0, null, 1), $slots['Dimmer']);
        self::assertEquals(new FixtureSlot('Shutter', 7, null, FixtureSlotKind::Shutter, 10, 8, 8, 15, '0-7=Closed, 8-15=Open, 16-199=Slow, 200-255=Fast  mad'), $slots['Shutter']);
        self::assertSame(FixtureSlotKind::Colour, $slots['Red 1']->is);
        self::assertCount(3, $read['leftOut'], implode("\n", $read['leftOut']));
        $shown = (new DmxLearns)->described(self::archive(['description.xml' => self::XML]));
        self::assertSame('Full (7 slots)', $shown->things[0]->says);
    }

    /** @return iterable<string, array{Closure(): string, string}> */
    public static function hostile(): iterable
    {
        $lie = static function (int $size): string {
            // What the archive says of the length, in its directory and before the file.
            $bytes = self::archive(['description.xml' => self::XML]);
            $true = pack('V', strlen(self::XML));
            self::assertGreaterThanOrEqual(2, substr_count($bytes, $true));

            return str_replace($true, pack('V', $size), $bytes);
        };
        yield 'no archive' => [static fn (): string => 'PK not at all', 'no zip archive'];
        yield 'nothing' => [static fn (): string => '', 'no zip archive'];
        yield 'cut off' => [static fn (): string => substr(self::archive(['description.xml' => self::XML]), 0, 300), 'no zip archive'];
        yield 'no description' => [static fn (): string => self::archive(['other.xml' => self::XML]), 'no description.xml'];
        yield 'a bomb' => [static fn (): string => self::archive(['description.xml' => str_repeat(' ', 60_000_000)]), 'more than any fixture needs'];
        yield 'a bomb that says it is small' => [static fn (): string => str_replace(pack('V', 5_000_000), pack('V', 900), self::archive(['description.xml' => str_repeat(' ', 5_000_000)])), 'not as long as'];
        yield 'shorter than it says' => [static fn (): string => $lie(strlen(self::XML) + 500), 'not as long as'];
        yield 'longer than it says' => [static fn (): string => $lie(strlen(self::XML) - 500), 'not as long as'];
        yield 'out of its folder' => [static fn (): string => self::archive(['description.xml' => self::XML, '../../etc/cron.d/x' => 'x']), 'outside of it'];
        yield 'from the root' => [static fn (): string => self::archive(['/etc/passwd' => 'x', 'description.xml' => self::XML]), 'outside of it'];
        yield 'with strokes the other way' => [static fn (): string => self::archive(['..\\x' => 'x', 'description.xml' => self::XML]), 'outside of it'];
        yield 'too many files' => [static fn (): string => self::archive(array_fill_keys(array_map(static fn (int $at): string => "f{$at}", range(1, 2_100)), 'x')), 'more than any fixture needs'];
        yield 'an entity that is a file' => [static fn (): string => self::archive(['description.xml' => '<?xml version="1.0"?><!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/passwd">]><GDTF><FixtureType Name="&x;"/></GDTF>']), 'entities of its own'];
        yield 'entities of entities' => [static fn (): string => self::archive(['description.xml' => '<!DOCTYPE a [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]><GDTF/>']), 'entities of its own'];
        yield 'in another alphabet' => [static fn (): string => self::archive(['description.xml' => (string) mb_convert_encoding('<?xml version="1.0" encoding="UTF-16"?><!DOCTYPE a [<!ENTITY x "y">]><GDTF/>', 'UTF-16', 'UTF-8')]), 'not in UTF-8'];
        yield 'says another alphabet' => [static fn (): string => self::archive(['description.xml' => '<?xml version="1.0" encoding="UTF-7"?><GDTF/>']), 'not in UTF-8'];
        yield 'deeper than any' => [static fn (): string => self::archive(['description.xml' => str_repeat('<a>', 60_000)]), 'no XML'];
        yield 'more parts than any' => [static fn (): string => self::archive(['description.xml' => '<GDTF>'.str_repeat('<a/>', 500_000).'</GDTF>']), 'more parts'];
        yield 'no XML' => [static fn (): string => self::archive(['description.xml' => '{"GDTF": 1}']), 'no XML'];
        yield 'another XML' => [static fn (): string => self::archive(['description.xml' => '<svg/>']), 'not that of a fixture'];
        yield 'no mode' => [static fn (): string => self::archive(['description.xml' => '<GDTF><FixtureType Name="x"/></GDTF>']), 'no mode with slots'];
        yield 'a password' => [static function (): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'gdtf');
            $zip = new ZipArchive;
            $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
            $zip->addFromString('description.xml', self::XML);
            $zip->setEncryptionName('description.xml', ZipArchive::EM_AES_256, 'x');
            $zip->close();
            $bytes = (string) file_get_contents($path);
            unlink($path);

            return $bytes;
        }, 'password'];
    }

    /** @param  Closure(): string  $archive */
    #[DataProvider('hostile')]
    public function test_what_nobody_should_open_is_refused_with_its_reason(Closure $archive, string $reason): void
    {
        $bytes = $archive();
        $before = memory_get_peak_usage();
        try {
            ReadsGdtf::from($bytes);
            self::fail('It was read.');
        } catch (FixtureRefused $refused) {
            self::assertStringContainsString($reason, $refused->getMessage());
        }
        self::assertLessThan(60_000_000, memory_get_peak_usage() - $before);
        $this->expectException(LearningRefused::class);
        (new DmxLearns)->described($bytes);
    }

    public function test_odd_figures_are_left_and_not_believed(): void
    {
        mt_srand(3);
        for ($draw = 0; $draw < 300; $draw++) {
            $xml = self::XML;
            for ($cut = 0; $cut < 4; $cut++) {
                $at = mt_rand(60, strlen($xml) - 1);
                $xml = substr_replace($xml, ['9', '"', '<', '99999999999', '/', '-', "\xC3\xA4", ''][mt_rand(0, 7)], $at, mt_rand(0, 2));
            }
            try {
                foreach (ReadsGdtf::from(self::archive(['description.xml' => $xml]))['modes'] as $mode) {
                    foreach ($mode->slots as $slot) {
                        self::assertTrue($slot->at >= 1 && $slot->at <= 512 && ($slot->fineAt ?? 1) <= 512 && $slot->rest >= 0 && $slot->rest <= 255 && mb_strlen($slot->name) <= 24 && mb_strlen($slot->ranges) <= 600);
                    }
                }
            } catch (FixtureRefused $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }
}
