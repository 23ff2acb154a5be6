package org.myrialith.web.store;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnPartTable extends JpaRepository<OwnPart, String> {
  List<OwnPart> findAllByOrderById();
}
