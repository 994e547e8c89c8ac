"""A kit of 64 slices as SFZ, read by a reader that was written elsewhere: all regions, files and keys.

./run bench sfz [RECORDING]
"""

import sys
import tempfile
from pathlib import Path

import soundfile
from sfzlint.parser import validate

from chronotome.demo import __file__ as demo_file
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.headless import Headless
from chronotome.files.kit_out import write_sfz
from chronotome.session.edits.kits import make_kit
from chronotome.session.kits import FIRST_NOTE
from chronotome.session.model import replace

COUNT = 64
USUAL = Path(demo_file).parent / "harbour-ferry" / "audio" / "bucket_kit.flac"


def main() -> None:
    path = Path(sys.argv[1]) if len(sys.argv) > 1 else USUAL
    work = Headless()
    track = work.bring(path)
    session = make_kit(work.session, (track.id, track.clips[0].id))
    whole = session.kits[0]
    kit = replace(whole, slices=whole.slices[:COUNT])
    with tempfile.TemporaryDirectory() as home:
        folder = Path(home) / "kit"
        written = write_sfz(folder, session, kit, work.pool.ready(), work.arena, encoding=ENCODINGS["wav24"])
        said = []
        read = validate(written, err_cb=lambda *words: said.append(words), config={"file_path": written})
        print(f"its checker says: {said or 'nothing is wrong'}")
        right = 0
        for piece, region in zip(kit.slices, read.regions, strict=True):
            info = soundfile.info(written.parent / region["sample"].value)
            is_key = int(region["key"].value) == piece.key + FIRST_NOTE
            right += is_key and info.samplerate == session.rate and info.frames > 0
        print(f"{len(read.regions)} regions of {len(kit.slices)}; right file on the right key: {right}")


if __name__ == "__main__":
    main()
