"""From the input into the file, and back to the ear: nothing lost, nothing doubled, no gap unheard of."""

import errno
import mmap
import os
import subprocess
import sys

import numpy as np
import pytest
import soundfile

from chronotome.engine.monitor import Monitor
from chronotome.files.take_writer import HEADER, TakeWriter
from chronotome.files.takes import TakeInfo, describe, discard, hold, left_behind, new_take
from chronotome.render.take_ring import RING_FRAMES, TAKE_BYTES, TakeRing, TakeWord

RATE = 48000


@pytest.fixture
def ring():
    return TakeRing(bytearray(TAKE_BYTES))


def block(start, frames):
    """Samples that tell their number."""
    return np.repeat(np.arange(start, start + frames, dtype=np.float32)[:, None], 2, 1)


def test_what_is_put_is_in_the_file_in_its_order_and_readable_whenever_it_is_killed(ring, tmp_path):
    path = tmp_path / "take.wav"
    handle = os.open(path, os.O_RDWR | os.O_CREAT)
    writer, at = TakeWriter(ring, handle, RATE), 0
    writer.begin()
    for frames in (512, 700_000, 1, 600_000):  # round the ring's end
        ring.put(block(at, frames))
        at += frames
        assert writer.move() == frames
        writer.tell()
        read, rate = soundfile.read(path, dtype="float32")
        assert (len(read), rate) == (at, RATE)
    os.close(handle)
    np.testing.assert_array_equal(read, block(0, at))
    assert ring.get(TakeWord.LOST) == 0


def test_on_a_full_disk_what_it_took_is_kept_and_the_window_is_told(tmp_path):
    shared = os.memfd_create("ring")
    os.ftruncate(shared, TAKE_BYTES)
    ring = TakeRing(memoryview(mmap.mmap(shared, 0)))
    ring.put(block(0, 48000))
    path = tmp_path / "take.wav"
    limit = "import resource; resource.setrlimit(resource.RLIMIT_FSIZE, (100_000, 100_000)); "
    script = (
        limit + "from chronotome.files.take_writer import run; import sys; run(*map(int, sys.argv[1:]), 1)"
    )

    with path.open("xb") as file:
        command = [sys.executable, "-c", script, str(shared), "0", str(RATE), str(os.getpid())]
        subprocess.run(command, stdout=file, pass_fds=(shared,), check=True, timeout=20)

    read, _ = soundfile.read(path, dtype="float32")
    assert ring.get(TakeWord.PROBLEM) == errno.EFBIG
    np.testing.assert_array_equal(read, block(0, (100_000 - HEADER.size) // 8))


def test_what_has_no_room_is_counted_and_does_not_harm_what_is_there(ring):
    ring.put(block(0, RING_FRAMES))
    ring.put(block(RING_FRAMES, 256))
    assert (ring.get(TakeWord.LOST), ring.get(TakeWord.HEAD)) == (256, RING_FRAMES)
    np.testing.assert_array_equal(np.concatenate(ring.parts(0, RING_FRAMES)), block(0, RING_FRAMES))


@pytest.mark.parametrize("into", [64, 256, 441])
def test_what_the_input_hears_is_heard_a_few_blocks_later_without_a_gap(into):
    monitor, out, at = Monitor(), [], 0
    for number in range(400):
        while number * into >= at + 256:  # the input's blocks come at their own pace
            monitor.put(block(at, 256) / 1e6)
            at += 256
        part = np.zeros((into, 2), np.float32)
        monitor.add_into(part)
        out.append(part)
    heard = np.concatenate(out)[:, 0]
    began = int(np.flatnonzero(heard)[0])
    steps = np.diff(heard[began + 64 :] * 1e6)
    assert np.abs(steps - 1).max() < 0.1
    assert began <= 3 * into + 3 * 256


def test_an_input_that_stops_leaves_no_click_and_begins_again():
    monitor, loud = Monitor(), np.full((256, 2), 0.5, np.float32)
    out = []
    for number in range(60):
        if not 20 <= number < 40:
            monitor.put(loud)
        part = np.zeros((256, 2), np.float32)
        monitor.add_into(part)
        out.append(part)
    heard = np.concatenate(out)[:, 0]
    assert np.abs(np.diff(heard)).max() < 0.02
    assert (heard[30 * 256 : 40 * 256] == 0).all()
    assert heard[-1] == 0.5


def test_a_take_that_somebody_has_is_not_offered_and_one_that_nobody_has_is():
    first, handle = new_take()
    os.close(handle)
    second, handle = new_take()
    os.close(handle)
    assert first != second
    describe(first, TakeInfo("Take 1", RATE, 700))
    describe(second, TakeInfo("Take 2", RATE, -5))
    held = hold(second)
    assert hold(second) is None

    assert [(each.path, each.about.place) for each in left_behind()] == [(first, 700)]
    held.let_go()
    assert len(left_behind()) == 2
    discard(first)
    assert [each.about.track for each in left_behind()] == ["Take 2"]
    assert not first.exists()


def test_what_is_no_take_is_not_offered(own_home):
    path, handle = new_take()
    os.close(handle)
    path.with_suffix(".take.json").write_text('{"track": "Take 1", "rate": 0}')
    assert left_behind() == []
