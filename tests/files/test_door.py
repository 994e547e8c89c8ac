"""Nothing lost, nobody let in: what comes from outside, and what is written."""

import errno
import json
import os
import shutil
import stat
import subprocess
import sys
import time
from pathlib import Path

import numpy as np
import pytest
import soundfile
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QMessageBox

import chronotome
from chronotome.__main__ import main
from chronotome.errors import CannotWrite, ChronotomeError, UnusableFile
from chronotome.files import fit_file, session_lock, writing
from chronotome.files.audio_file import facts_of, read_audio
from chronotome.files.audio_out import ENCODINGS, write_blocks
from chronotome.files.fit_file import kept_fit, sidecar_of
from chronotome.files.journal import Journal, left_behind, recover, set_aside
from chronotome.files.names import path_from, path_words, plain_name, shown
from chronotome.files.places import journal_folder
from chronotome.files.safe_read import InvalidInput, bytes_of
from chronotome.files.session_file import load_session, save_session
from chronotome.files.session_lock import take
from chronotome.files.shelf import ShelfEntry, keep_entries, kept_entries, scan
from chronotome.files.writing import Disk, replacing_at, write_whole
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import set_level
from chronotome.session.fit import Fit
from chronotome.session.history import History
from chronotome.session.limits import HIGHEST_RATE, LOWEST_RATE
from chronotome.ui.window.recovery import offer_recovery
from sounds import noise_hits, write
from strategies import simple_session, with_audio

OUTSIDE = ("../../planted.wav", "/var/planted.wav", "..", "a/b.wav", "x\\y", "", "a\nb", "n" * 300)


class Refusing(Disk):
    """A disk that is full at the `first` thing asked of it that counts, and for `times` after that."""

    def __init__(self, first, times=10**9, error=errno.ENOSPC) -> None:
        self.asked, self.first, self.times, self.error = 0, first, times, error

    def _ask(self) -> None:
        self.asked += 1
        if self.first <= self.asked < self.first + self.times:
            raise OSError(self.error, os.strerror(self.error))

    def create(self, name, folder):
        self._ask()
        return super().create(name, folder)

    def write(self, file, data):
        self._ask()
        return super().write(file, bytes(data)[: max(1, len(bytes(data)) // 2)])  # never all at once

    def sync(self, file):
        self._ask()
        super().sync(file)

    def rename(self, name, to, folder):
        self._ask()
        super().rename(name, to, folder)


@pytest.fixture
def saved(tmp_path):
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    history = History(session).then(set_tempo(session, 99.0), "Set tempo")
    folder = tmp_path / "ferry"
    save_session(folder, history, places)
    return folder


def in_folder(folder):
    return {path.relative_to(folder): path.read_bytes() for path in folder.rglob("*") if path.is_file()}


# Names that lead elsewhere


@pytest.mark.parametrize("name", OUTSIDE)
def test_a_history_cannot_name_a_file_elsewhere(saved, name):
    ledger = saved / "history-1.jsonl"
    ledger.write_text(ledger.read_text().replace('"take.wav"', json.dumps(name)))

    opened = load_session(saved)

    assert opened.note is not None
    assert not opened.history.past
    assert {recording.file for recording in opened.history.session.recordings} == {"take.wav"}


@pytest.mark.parametrize("name", OUTSIDE)
def test_a_journal_cannot_name_a_file_elsewhere(tmp_path, name):
    journal = Journal(tmp_path / "journals")
    session = simple_session([0, 6000], 20000)
    journal.start(History(session), {}, None)
    journal.happened("then", History(session).then(set_tempo(session, 99.0), "Set tempo"))
    journal.flush()
    copy = tmp_path / "copy.jsonl"
    copy.write_text(journal.path.read_text().replace('"take.wav"', json.dumps(name)))
    journal.finish()

    with pytest.raises(ChronotomeError, match="damaged"):
        recover(copy)


@pytest.mark.parametrize("content", ["../../../planted", "a" * 31, "A" * 32, "a" * 31 + "\n"])
def test_a_document_cannot_name_a_content_that_leads_elsewhere(saved, content):
    document = saved / "session.json"
    told = load_session(saved).history.session.recordings[0].content
    document.write_text(document.read_text().replace(told, content.replace("\n", "\\n")))

    with pytest.raises(UnusableFile):
        load_session(saved)


# Links and pipes


def test_save_follows_no_planted_link(saved, tmp_path):
    opened = load_session(saved)
    precious = write_precious(tmp_path / "precious.txt")
    for name in ("session.json", ".session.json.part", "history-2.jsonl"):
        (saved / name).unlink(missing_ok=True)
        (saved / name).symlink_to(precious)

    save_session(saved, opened.history, opened.places)

    assert precious.read_text() == "precious"
    assert load_session(saved).history.undo_label == "Set tempo"
    assert not (saved / "session.json").is_symlink()


def test_save_refuses_a_folder_of_recordings_that_is_a_link(saved, tmp_path):
    opened = load_session(saved)
    places = {
        content: Path(shutil.copy(path, tmp_path / "safe.wav")) for content, path in opened.places.items()
    }
    shutil.rmtree(saved / "audio")
    elsewhere = tmp_path / "elsewhere"
    elsewhere.mkdir()
    (saved / "audio").symlink_to(elsewhere)

    with pytest.raises(CannotWrite, match="link"):
        save_session(saved, opened.history, places)

    assert not list(elsewhere.iterdir())


def write_precious(path):
    path.write_text("precious")
    return path


def test_pipes_devices_and_what_is_too_large_are_refused_at_once(tmp_path):
    os.mkfifo(tmp_path / "pipe.wav")
    (tmp_path / "zero.wav").symlink_to("/dev/zero")
    for name in ("pipe.wav", "zero.wav"):
        with pytest.raises(UnusableFile, match="is not a file"):
            facts_of(tmp_path / name)
        with pytest.raises(InvalidInput, match="is not a file"):
            bytes_of(tmp_path / name)
    with pytest.raises(InvalidInput, match="larger than 0 MB"):
        bytes_of(write_precious(tmp_path / "large"), 7)
    large = (tmp_path / "large").read_bytes()
    assert bytes_of(tmp_path / "large", len(large)) == large


# Code beside recordings


@pytest.mark.parametrize("command", ["demo", "app"])
def test_the_program_starts_without_the_current_folder_on_its_path(tmp_path, command):
    """`run` itself, with a Python that tells how it was called."""
    shutil.copy(Path(__file__).parents[2] / "run", tmp_path / "run")
    (tmp_path / "requirements").mkdir()
    (tmp_path / "requirements" / "app.txt").touch()
    python = tmp_path / ".venv-app" / "bin" / "python"
    python.parent.mkdir(parents=True)
    python.write_text('#!/bin/sh\nprintf "%s\\n" "$@"\n')
    python.chmod(0o755)
    os.utime(tmp_path / "requirements" / "app.txt", (1, 1))
    (tmp_path / ".venv-app" / ".stamp").touch()

    told = subprocess.run([tmp_path / "run", command], check=True, capture_output=True, text=True).stdout

    assert told.split()[:3] == ["-P", "-m", "chronotome"]


# Sources


@pytest.mark.parametrize("way", ["name", "link", "hard link"])
@pytest.mark.parametrize(
    "words",
    [
        ["tighten", "{in}", "--bpm", "120", "-o", "{out}"],
        ["tighten", "{in}", "--bpm", "120", "-o", "{free}", "--moves", "{out}"],
        ["onsets", "{in}", "--labels", "{out}"],
        ["onsets", "{in}", "--midi", "{out}"],
        ["onsets", "{in}", "--cue", "{out}"],
    ],
)
def test_no_command_writes_onto_its_source(tmp_path, capsys, words, way):
    source = write(tmp_path / "take.wav", noise_hits([2000, 14000, 26000], 40000))
    before, out = source.read_bytes(), tmp_path / "out.wav"
    if way == "link":
        out.symlink_to(source)
    elif way == "hard link":
        out.hardlink_to(source)
    else:
        out = tmp_path / "." / "take.wav"
    names = {"{in}": str(source), "{out}": str(out), "{free}": str(tmp_path / "free.wav")}

    assert main([names.get(word, word) for word in words]) == 1

    assert "never overwritten" in capsys.readouterr().err
    assert source.read_bytes() == before
    assert not (tmp_path / "free.wav").exists()


def test_export_never_writes_onto_an_opened_recording(at_work, hits_file):
    before, errors = hits_file.read_bytes(), []
    at_work.desk.tasks.error.connect(errors.append)

    at_work.window.export_tray.export(hits_file)
    at_work.settle()

    assert hits_file.read_bytes() == before
    assert "never overwritten" in errors[0]


# Limits


@pytest.mark.parametrize("rate", [1, 100, LOWEST_RATE - 1, HIGHEST_RATE + 1, 20_000_000])
def test_odd_rates_are_refused_at_the_door_and_said(tmp_path, rate):
    path = write(tmp_path / "odd.wav", np.full((4000, 1), 0.1, np.float32), rate=rate)

    with pytest.raises(UnusableFile, match=f"sample rate of {rate} Hz"):
        facts_of(path)


@pytest.mark.parametrize("rate", [LOWEST_RATE, HIGHEST_RATE])
def test_the_outermost_rates_open_and_save(tmp_path, rate):
    assert facts_of(write(tmp_path / "edge.wav", np.full((4000, 1), 0.1, np.float32), rate=rate)).rate == rate


@pytest.mark.parametrize(
    "hostile",
    [
        '"beat_one": 1000000000000000000',
        '"pins": [{"frame": 0, "beat": 0}, {"frame": 9, "beat": 1e9}]',
        '"scale": 0',
        '"tempo": 0.001',
    ],
)
def test_a_sidecar_out_of_bounds_is_no_sidecar(tmp_path, hostile):
    sound, content = tmp_path / "take.wav", "a" * 32
    sidecar_of(sound).write_text(
        f'{{"content": "{content}", "rate": 44100, "version": 1, "fit": {{{hostile}}}}}'
    )

    assert kept_fit(content, sound) == Fit()


def test_values_that_are_no_sound_are_refused(tmp_path):
    samples = np.full((4000, 1), 0.1, np.float32)
    samples[1234] = -3e30
    with pytest.raises(UnusableFile, match="invalid levels .*3e.30 times full scale"):
        read_audio(write(tmp_path / "huge.wav", samples, subtype="FLOAT"))


def test_deep_and_huge_json_is_one_clear_line(saved):
    for text in (
        '{"format": "chronotome-session", "version": 1, "session": ' + "[" * 100_000,
        '{"format": "chronotome-session", "version": ' + "9" * 400 + "}",
        '{"format": "chronotome-session", "version": 1, "session": {"name": "' + "n" * 5000 + '"}}',
        '{"format": "chronotome-session", "version": 1, "session": {"rate": 1e999}}',
    ):
        (saved / "session.json").write_text(text)
        with pytest.raises(UnusableFile) as told:
            load_session(saved)
        assert "\n" not in str(told.value)
        assert len(str(told.value)) < 700


# Full disks


def test_a_save_that_fails_anywhere_leaves_the_old_session_and_nothing_beside_it(saved, monkeypatch):
    opened = load_session(saved)
    before = in_folder(saved)
    changed = opened.history.then(set_level(opened.history.session, 2, -3.0), "Set level")
    for first in range(1, 200):
        monkeypatch.setattr(writing, "disk", Refusing(first))
        refused = None
        try:
            save_session(saved, changed, opened.places)
        except CannotWrite as error:
            refused = str(error)
        if refused is None:
            break
        assert "disk is full" in refused
        kept = load_session(saved)
        assert kept.note is None
        assert kept.history.undo_label in {"Set tempo", "Set level"}
        if kept.history.undo_label == "Set tempo":
            assert {
                name: data for name, data in in_folder(saved).items() if "history-2" not in name.name
            } == before
        assert not list(saved.rglob("*.part"))
    assert first > 6
    assert load_session(saved).history.undo_label == "Set level"


def test_an_export_that_fails_anywhere_leaves_what_was_there(tmp_path, monkeypatch):
    path = tmp_path / "mix.wav"
    path.write_bytes(b"what was there")
    samples = np.random.default_rng(1).uniform(-0.5, 0.5, (50_000, 2)).astype(np.float32)
    for first in range(1, 2000):
        monkeypatch.setattr(writing, "disk", Refusing(first))
        try:
            write_blocks(
                path, iter([samples]), rate=48000, channels=2, frames=50_000, encoding=ENCODINGS["wav24"]
            )
            break
        except CannotWrite as error:
            refused = str(error)
        assert "disk is full" in refused
        assert path.read_bytes() == b"what was there" or first > 5
        assert not list(tmp_path.glob(".chronotome*"))
    assert first > 5
    assert facts_of(path).frames == 50_000


@pytest.mark.parametrize("first", [1, 2, 9, 40, 70, 95])
def test_a_journal_goes_on_once_there_is_room_and_has_lost_nothing(tmp_path, monkeypatch, first):
    disk = Refusing(first, times=12)
    monkeypatch.setattr(writing, "disk", disk)
    journal = Journal(tmp_path)
    session = simple_session([0, 6000], 20000)
    history = History(session)
    journal.start(history, {}, None)
    problems = set()
    for number in range(25):
        history = history.then(set_tempo(history.session, 60.0 + number), f"Edit {number}")
        journal.happened("then", history)
        journal.flush()
        problems.add(journal.problem)

    found = recover(journal.path)

    assert any(words and "disk is full" in words for words in problems)
    assert journal.problem is None
    assert found.history.session == history.session
    assert len(found.history.past) == 25
    journal.finish()


def test_the_last_edit_is_synced_within_a_second_though_nothing_follows(tmp_path, monkeypatch):
    synced = []
    monkeypatch.setattr(Disk, "sync", lambda _self, file: synced.append(os.fstat(file).st_size))
    journal = Journal(tmp_path)
    session = simple_session([0, 6000], 20000)
    journal.start(History(session), {}, None)
    journal.happened("then", History(session).then(set_tempo(session, 99.0), "Set tempo"))
    journal.flush()

    for _ in range(40):
        time.sleep(0.05)
        if synced:
            break

    assert synced == [journal.path.stat().st_size]
    journal.finish()


def test_what_stands_in_the_way_of_the_journal_is_said_as_long_as_it_lasts(at_work, monkeypatch):
    status = at_work.window.status
    monkeypatch.setattr(writing, "disk", Refusing(1))
    at_work.desk.store.apply(lambda session: set_tempo(session, 101.0), "Set tempo")
    at_work.wait(lambda: "disk is full" in status._warning)
    at_work.window.status._told.stop()
    at_work.desk.view.hint("a hint")
    assert "disk is full" in status.words.said

    monkeypatch.setattr(writing, "disk", Disk())
    at_work.wait(lambda: not status._warning)
    assert status.words.said == "a hint"


# Journals that are wrong


@pytest.mark.parametrize(
    "text",
    [b"\x00\xff\n", b"[]\n", b'{"event": "then"}\n', b'{"session": 1, "value": 7}\n', b'{"event": {}}\n'],
)
def test_a_journal_that_is_wrong_is_set_aside_and_never_deleted(person, tmp_path, own_home, text):
    path = journal_folder() / "bad.jsonl"
    writing.private_folder(path.parent)
    path.write_bytes(text)

    assert offer_recovery(person.window) is False

    assert not left_behind()
    assert path.with_suffix(".damaged").read_bytes() == text
    assert "moved to “bad.damaged”" in person.window.status.words.said


def test_what_cannot_be_moved_aside_stays(tmp_path):
    assert set_aside(tmp_path / "none.jsonl") is None


# Names that are no text


def test_bytes_of_names_that_are_no_text_lead_back_and_are_shown_replaced(tmp_path):
    path = tmp_path / os.fsdecode(b"t\xe4kt.wav")

    assert path_from(path_words(path)) == path
    assert path_words(tmp_path / "täkt.wav") == str(tmp_path / "täkt.wav")
    assert shown(path.name) == "t�kt.wav"
    assert plain_name("a/b\\c\nd.wav") == "a_b_c_d.wav"
    assert plain_name("..") == "recording"
    assert plain_name("ä" * 300 + ".flac").endswith(".flac")
    assert len(plain_name("ä" * 300 + ".flac").encode()) <= 255


def test_a_recording_whose_name_is_no_text_is_kept_saved_and_found_again(person, tmp_path, hits_file):
    odd = tmp_path / os.fsdecode(b"t\xe4kt\n.wav")
    hits_file.rename(odd)
    person.window.open([odd])
    person.settle()
    journal = person.window._journal
    journal.flush()

    found = recover(journal.path)
    person.desk.document.save(tmp_path / "saved")
    person.settle()

    assert list(found.places.values()) == [odd]
    assert journal.problem is None
    opened = load_session(tmp_path / "saved")
    assert not opened.missing
    assert opened.history.session.tracks[0].name == "t\ufffdkt\ufffd"


# What is ours


def test_folders_of_our_own_are_private_and_leftovers_of_ours_are_swept(saved, own_home):
    opened = load_session(saved)
    ours, theirs = saved / ".chronotome-0123456789abcdef.part", saved / ".session.json.part"
    history = saved / "history-7.jsonl"
    for path in (ours, theirs, history):
        path.write_bytes(b"x")

    save_session(saved, opened.history, opened.places)
    fit_file.keep_fit(opened.history.session.recordings[0])

    assert not ours.exists()
    assert theirs.exists()
    assert history.exists()
    kept = fit_file._kept_at(opened.history.session.recordings[0].content)
    assert stat.S_IMODE(kept.parent.stat().st_mode) == 0o700


def test_what_a_killed_export_left_is_swept_by_the_next_and_what_is_being_written_is_not(tmp_path):
    left = tmp_path / ".chronotome-0123456789abcdef.part"
    left.write_bytes(b"half")
    link = tmp_path / ".chronotome-0000000000000000.part"
    link.symlink_to(tmp_path / "theirs")

    with replacing_at(tmp_path / "long") as file:
        file.write(b"long")
        write_whole(tmp_path / "short", b"short")

    assert sorted(path.name for path in tmp_path.iterdir()) == [link.name, "long", "short"]
    assert (tmp_path / "long").read_bytes() == b"long"


def test_a_file_is_written_whole_or_not_at_all_however_small_the_disk_s_bites_are(tmp_path, monkeypatch):
    monkeypatch.setattr(writing, "disk", Refusing(10**9))

    write_whole(tmp_path / "text", b"abc" * 1000)

    assert (tmp_path / "text").read_bytes() == b"abc" * 1000


@pytest.mark.parametrize(
    ("field", "value"), [("frames", 4_000_000_000), ("frames", 20), ("rate", 768_000), ("channels", 64)]
)
def test_a_session_that_contradicts_its_recording_is_told_so(saved, person, field, value):
    document, errors = saved / "session.json", []
    head, mark, text = document.read_text().partition('"recordings"')
    told = getattr(load_session(saved).history.session.recordings[0], field)
    changed = text.replace(f'"{field}": {told}', f'"{field}": {value}', 1)
    changed = head + mark + changed.replace('"source_end": 20000', '"source_end": 9')
    document.write_text(changed)
    person.desk.tasks.error.connect(errors.append)

    person.window.open([saved])
    person.wait(lambda: person.desk.tasks.is_idle and bool(person.session.recordings))

    assert any("the length or type in the session" in error for error in errors)


def test_a_journal_whose_paths_nobody_can_have_comes_back_without_them(person, tmp_path):
    journal = Journal(tmp_path / "journals")
    session = simple_session([0, 6000], 20000)
    content = session.recordings[0].content
    journal.start(History(session), {content: Path("/" + "n" * 5000)}, None)
    journal.happened("then", History(session).then(set_tempo(session, 99.0), "Set tempo"))
    journal.flush()
    found = recover(journal.path)
    journal.finish()

    person.desk.document.restore(found)

    assert person.session.tempo.at(0.0) == 99.0
    assert not person.desk.recordings.places


def test_a_shelf_knows_files_whose_names_are_no_text_and_none_elsewhere(tmp_path):
    odd = tmp_path / os.fsdecode(b"b\xe4ss 96bpm.wav")
    write(tmp_path / "plain.wav", noise_hits([2000], 9000)).rename(odd)
    (tmp_path / "sub\nfolder").mkdir()
    write(tmp_path / "sub\nfolder" / "clap.wav", noise_hits([2000], 9000))
    entries = scan(tmp_path, {}, lambda _batch: None)

    keep_entries(tmp_path, entries)

    assert kept_entries(tmp_path) == entries
    assert [tmp_path / entry.path for entry in entries] == [odd, tmp_path / "sub\nfolder" / "clap.wav"]
    assert [entry.words for entry in entries] == ["b\ufffdss 96bpm.wav", "sub\ufffdfolder/clap.wav"]
    assert all(entry.frames == 9000 for entry in entries)
    for name in ("../x.wav", "/x.wav", "a/../../x.wav", path_words(Path(os.fsdecode(b"../\xff.wav")))):
        with pytest.raises(ValueError, match="lies in its folder"):
            ShelfEntry(name, 0, 0)


def test_names_are_shown_as_text_whatever_signs_are_in_them(person, saved, tmp_path, monkeypatch):
    odd = saved.rename(tmp_path / "<b>ferry & co")
    take(odd)
    monkeypatch.setattr(session_lock, "_HELD", {})  # as if another process had

    person.window.open([odd])
    person.wait(lambda: bool(person.window.findChildren(QMessageBox)))
    person.window.tell("“<b>ferry</b>” was not found")
    (box,) = person.window.findChildren(QMessageBox)

    assert box.textFormat() is Qt.TextFormat.PlainText
    assert "<b>ferry & co" in box.text()
    assert person.window.status.words.textFormat() is Qt.TextFormat.PlainText
    assert person.window.status.words.toolTip() == "<span>“&lt;b&gt;ferry&lt;/b&gt;” was not found</span>"
    box.reject()


def test_with_little_address_space_the_arena_is_smaller(tmp_path):
    path = write(tmp_path / "take.wav", noise_hits([2000, 14000], 40000))
    limited = "import resource, sys; resource.setrlimit(resource.RLIMIT_AS, (6 << 30, 6 << 30)); "
    code = limited + "from chronotome.__main__ import main; sys.exit(main(sys.argv[1:]))"
    words = [sys.executable, "-c", code, "tighten", path, "--bpm", "120", "-o", tmp_path / "out.wav"]

    done = subprocess.run(words, capture_output=True, text=True, check=False)

    assert (done.returncode, done.stderr) == (0, "")
    assert facts_of(tmp_path / "out.wav").frames >= 38000


def test_sound_that_comes_in_small_pieces_is_put_together(tmp_path, monkeypatch):
    samples = np.random.default_rng(2).uniform(-0.5, 0.5, (3000, 1)).astype(np.float32)
    path, read = write(tmp_path / "take.wav", samples, subtype="FLOAT"), soundfile.SoundFile.read

    def little(self, frames, out, **how):
        return read(self, min(frames, 700), out=out[:700], **how)

    monkeypatch.setattr(soundfile.SoundFile, "read", little)

    np.testing.assert_array_equal(read_audio(path).samples, samples)


def test_types_that_two_threads_decode_for_the_first_time_at_once_do_not_end_the_program():
    """The library alone crashes in two of three such runs."""
    words = """
import sys, threading
import msgspec
from chronotome.files.safe_read import trusted
from chronotome.session.model import Session
sys.setswitchinterval(1e-6)
together, data = threading.Barrier(6), msgspec.json.encode(Session())
def decode():
    together.wait()
    trusted(data, Session)
threads = [threading.Thread(target=decode) for _ in range(6)]
[each.start() for each in threads]
[each.join() for each in threads]
"""
    source = str(Path(chronotome.__file__).parents[1])
    children = [
        subprocess.Popen([sys.executable, "-c", words], env={**os.environ, "PYTHONPATH": source})
        for _ in range(4)
    ]
    assert [child.wait() for child in children] == [0] * 4
