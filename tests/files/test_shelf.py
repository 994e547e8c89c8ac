import msgspec
import pytest

from chronotome.errors import Cancelled, UnusableFile
from chronotome.files import shelf
from chronotome.files.audio_file import read_audio
from chronotome.files.fit_file import keep_fit, kept_fit, sidecar_of, write_sidecar
from chronotome.files.loop_file import write_span
from chronotome.files.shelf import keep_entries, kept_entries, scan
from chronotome.files.tags import tempo_tag
from chronotome.session.fit import Fit, Pin
from chronotome.session.model import Recording
from sounds import noise_hits, sine, write


@pytest.fixture
def folder(tmp_path):
    place = tmp_path / "quay"
    (place / "kits").mkdir(parents=True)
    write(place / "stairs_92bpm.wav", sine(300, 0.5))
    write(place / "kits" / "bell.flac", sine(900, 0.25, rate=48000), rate=48000)
    (place / "notes.txt").write_text("no sound")
    (place / "broken.wav").write_bytes(b"RIFF")
    return place


def rows(folder, known=()):
    return {entry.name: entry for entry in scan(folder, {each.name: each for each in known}, lambda _: None)}


def test_a_folder_is_looked_through_with_tempo_length_and_rate(folder):
    found = rows(folder)

    assert set(found) == {"stairs_92bpm.wav", "kits/bell.flac", "broken.wav"}
    assert (found["stairs_92bpm.wav"].tempo, found["stairs_92bpm.wav"].source) == (92.0, "name")
    assert (found["kits/bell.flac"].rate, found["kits/bell.flac"].seconds) == (48000, 0.25)
    assert found["broken.wav"].frames == 0


def test_the_index_spares_reading_what_did_not_change(folder, monkeypatch):
    keep_entries(folder, list(rows(folder).values()))
    write(folder / "new.wav", sine(500, 0.1))
    read = []
    header_of = shelf.header_of
    monkeypatch.setattr(shelf, "header_of", lambda path: (read.append(path.name), header_of(path))[1])

    found = rows(folder, kept_entries(folder))

    assert sorted(read) == ["broken.wav", "new.wav"]
    assert found["stairs_92bpm.wav"].tempo == 92.0
    assert kept_entries(folder.parent) == []


def test_a_folder_that_is_not_there_is_said_and_a_scan_can_be_cancelled(folder):
    with pytest.raises(UnusableFile, match="nowhere"):
        scan(folder / "nowhere", {}, lambda _: None)

    def stop(_fraction):
        raise Cancelled

    with pytest.raises(Cancelled):
        scan(folder, {}, lambda _: None, stop)


def test_a_fit_comes_back_by_content_and_from_beside_the_file(tmp_path):
    sound = write(tmp_path / "take.wav", sine(300, 0.5))
    fit = Fit(tempo=91.5, beat_one=400, pins=(Pin(400, 0.0), Pin(9000, 2.0)))
    recording = Recording("a" * 32, "take.wav", 44100, 22050, 1, fit=fit)

    before = kept_fit(recording.content, sound)
    write_sidecar(recording, sound)
    beside, stranger = kept_fit(recording.content, sound), kept_fit("b" * 32, sound)
    sidecar_of(sound).write_bytes(b"{ damaged")
    keep_fit(recording)

    assert before == stranger == Fit()
    assert beside == fit
    assert kept_fit(recording.content, sound) == fit
    assert msgspec.json.decode(msgspec.json.encode(fit), type=Fit) == fit


def test_a_span_is_written_bit_for_bit_between_its_fades(tmp_path):
    source = write(tmp_path / "song.wav", noise_hits([100, 5000], 20000, channels=2))
    out = write_span(source, tmp_path / "loop.wav", (1000, 9000), fade=100)

    whole, loop = read_audio(source).samples, read_audio(out).samples

    assert loop.shape == (8000, 2)
    assert (loop[100:-100] == whole[1100:8900]).all()
    assert abs(loop[0]).max() < 1e-4
    with pytest.raises(UnusableFile, match="never overwritten"):
        write_span(source, source, (0, 10))
    with pytest.raises(UnusableFile, match="no audio in this span"):
        write_span(source, tmp_path / "none.wav", (5, 5))


def test_a_tempo_in_a_files_tags(tmp_path):
    plain = write(tmp_path / "plain.wav", sine(300, 0.2))
    tagged = tmp_path / "tagged.wav"
    data = plain.read_bytes()
    info = b"LIST" + (20).to_bytes(4, "little") + b"INFOIBPM" + (8).to_bytes(4, "little") + b"93.5\0\0\0\0"
    size = (len(data) - 8 + len(info)).to_bytes(4, "little")
    tagged.write_bytes(data[:4] + size + data[8:] + info)

    assert tempo_tag(tagged) == 93.5
    assert tempo_tag(plain) is None
    assert tempo_tag(tmp_path / "nowhere.wav") is None
