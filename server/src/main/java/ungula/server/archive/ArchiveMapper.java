package ungula.server.archive;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ArchiveMapper {

  /** Writes the database as it stands at one moment to a ZIP; others go on working. */
  @Update("BACKUP TO #{file}")
  void backup(String file);
}
