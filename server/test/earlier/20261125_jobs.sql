/*M!999999\- enable the sandbox mode */ 
/*!40014 SET @OLD_UNIQUE_CHECKS=@@UNIQUE_CHECKS, UNIQUE_CHECKS=0 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
/*!40111 SET @OLD_SQL_NOTES=@@SQL_NOTES, SQL_NOTES=0 */;
DROP TABLE IF EXISTS `components`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `components` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `kind` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `note` text NOT NULL,
  `position` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  KEY `components_job_id_foreign` (`job_id`),
  CONSTRAINT `components_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `components` WRITE;
/*!40000 ALTER TABLE `components` DISABLE KEYS */;
INSERT INTO `components` VALUES ('c1','j1','block','Block','',0,1);
INSERT INTO `components` VALUES ('c2','j1','turbo','Turbo','',1,1);
/*!40000 ALTER TABLE `components` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `events`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `events` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `job_id` varchar(36) NOT NULL,
  `at` datetime(3) NOT NULL,
  `kind` enum('edit','undo','redo') NOT NULL,
  `state` enum('done','undone','dropped') NOT NULL DEFAULT 'done',
  `label` varchar(200) NOT NULL,
  `client` varchar(40) NOT NULL,
  `before_rows` longtext NOT NULL,
  `after_rows` longtext NOT NULL,
  PRIMARY KEY (`id`),
  KEY `events_job_id_id_index` (`job_id`,`id`),
  CONSTRAINT `events_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `events` WRITE;
/*!40000 ALTER TABLE `events` DISABLE KEYS */;
INSERT INTO `events` VALUES (1,'j1','2026-11-20 08:00:00.000','edit','done','Edit L1 Feed','tab','[{\"type\":\"line\",\"data\":{\"id\":\"l1\",\"jobId\":\"j1\",\"number\":1,\"name\":\"Old name\",\"service\":\"other\",\"construction\":\"ptfe\",\"dash\":6,\"endA\":{\"portId\":\"p1\",\"angleDeg\":0,\"fittings\":null},\"endB\":{\"portId\":\"p2\",\"angleDeg\":45,\"fittings\":[{\"id\":\"orb6m+an6m\",\"inEnd\":0,\"outEnd\":1}]},\"tapedLengthMm\":664,\"slackPercent\":2,\"checked\":true,\"note\":\"\",\"position\":1,\"version\":1}}]','[{\"type\":\"line\",\"data\":{\"id\":\"l1\",\"jobId\":\"j1\",\"number\":1,\"name\":\"Feed\",\"service\":\"other\",\"construction\":\"ptfe\",\"dash\":6,\"endA\":{\"portId\":\"p1\",\"angleDeg\":0,\"fittings\":null},\"endB\":{\"portId\":\"p2\",\"angleDeg\":45,\"fittings\":[{\"id\":\"orb6m+an6m\",\"inEnd\":0,\"outEnd\":1}]},\"tapedLengthMm\":664,\"slackPercent\":2,\"checked\":true,\"note\":\"\",\"position\":1,\"version\":2}}]');
/*!40000 ALTER TABLE `events` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `fittings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `fittings` (
  `id` varchar(80) NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `origin` varchar(20) NOT NULL,
  `position` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `fittings` WRITE;
/*!40000 ALTER TABLE `fittings` DISABLE KEYS */;
INSERT INTO `fittings` VALUES ('old-part','{\"id\":\"old-part\",\"name\":\"Old part\",\"ends\":[{\"family\":\"npt\",\"size\":\"1/8\",\"gender\":\"male\"}]}','own',11);
INSERT INTO `fittings` VALUES ('orb6m+an6m','{\"id\":\"orb6m+an6m\",\"name\":\"Adapter\",\"ends\":[],\"priceMinor\":790,\"supplier\":\"Old supplier\",\"code\":\"A-1\",\"leadDays\":2,\"shelf\":4}','own',10);
/*!40000 ALTER TABLE `fittings` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `hose_ends`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hose_ends` (
  `id` varchar(80) NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `origin` varchar(20) NOT NULL,
  `position` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `hose_ends` WRITE;
/*!40000 ALTER TABLE `hose_ends` DISABLE KEYS */;
INSERT INTO `hose_ends` VALUES ('end-ptfe-6-0','{\"id\":\"end-ptfe-6-0\",\"construction\":\"ptfe\",\"dash\":6,\"angleDeg\":0}','own',0);
INSERT INTO `hose_ends` VALUES ('end-ptfe-6-45','{\"id\":\"end-ptfe-6-45\",\"construction\":\"ptfe\",\"dash\":6,\"angleDeg\":45,\"priceMinor\":1200}','own',1);
/*!40000 ALTER TABLE `hose_ends` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `hoses`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hoses` (
  `id` varchar(80) NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `origin` varchar(20) NOT NULL,
  `position` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `hoses` WRITE;
/*!40000 ALTER TABLE `hoses` DISABLE KEYS */;
INSERT INTO `hoses` VALUES ('hose-ptfe-6','{\"id\":\"hose-ptfe-6\",\"construction\":\"ptfe\",\"dash\":6,\"pricePerMetreMinor\":1900,\"shelf\":12}','own',0);
INSERT INTO `hoses` VALUES ('hose-ptfe-8','{\"id\":\"hose-ptfe-8\",\"construction\":\"ptfe\",\"dash\":8}','own',1);
/*!40000 ALTER TABLE `hoses` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `job_lines`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `job_lines` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `number` int(10) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `service` varchar(20) NOT NULL,
  `construction` varchar(20) DEFAULT NULL,
  `dash` int(10) unsigned DEFAULT NULL,
  `port_a` varchar(36) NOT NULL,
  `port_b` varchar(36) NOT NULL,
  `end_a` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`end_a`)),
  `end_b` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`end_b`)),
  `taped_length_mm` double DEFAULT NULL,
  `slack_percent` double NOT NULL,
  `checked` tinyint(1) NOT NULL,
  `note` text NOT NULL,
  `position` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `job_lines_port_a_unique` (`port_a`),
  UNIQUE KEY `job_lines_port_b_unique` (`port_b`),
  UNIQUE KEY `job_lines_job_id_number_unique` (`job_id`,`number`),
  CONSTRAINT `job_lines_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE,
  CONSTRAINT `job_lines_port_a_foreign` FOREIGN KEY (`port_a`) REFERENCES `ports` (`id`),
  CONSTRAINT `job_lines_port_b_foreign` FOREIGN KEY (`port_b`) REFERENCES `ports` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `job_lines` WRITE;
/*!40000 ALTER TABLE `job_lines` DISABLE KEYS */;
INSERT INTO `job_lines` VALUES ('l1','j1',1,'Feed','other','ptfe',6,'p1','p2','{\"portId\":\"p1\",\"angleDeg\":0,\"fittings\":null}','{\"portId\":\"p2\",\"angleDeg\":45,\"fittings\":[{\"id\":\"orb6m+an6m\",\"inEnd\":0,\"outEnd\":1}]}',664,2,1,'',1,2);
/*!40000 ALTER TABLE `job_lines` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `jobs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `jobs` (
  `id` varchar(36) NOT NULL,
  `number` varchar(20) NOT NULL,
  `name` varchar(120) NOT NULL,
  `description` text NOT NULL,
  `archived` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL,
  `updated_at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `jobs_number_unique` (`number`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `jobs` WRITE;
/*!40000 ALTER TABLE `jobs` DISABLE KEYS */;
INSERT INTO `jobs` VALUES ('j1','2201','Old car','two\nlines',0,3,'2026-11-20 08:00:00.000');
INSERT INTO `jobs` VALUES ('j2','2202','Put away ‮','two\nlines',1,3,'2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `jobs` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `knex_migrations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `knex_migrations` (
  `id` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(255) DEFAULT NULL,
  `batch` int(11) DEFAULT NULL,
  `migration_time` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `knex_migrations` WRITE;
/*!40000 ALTER TABLE `knex_migrations` DISABLE KEYS */;
INSERT INTO `knex_migrations` VALUES (1,'20261125_jobs',1,'2026-12-01 22:34:19');
/*!40000 ALTER TABLE `knex_migrations` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `knex_migrations_lock`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `knex_migrations_lock` (
  `index` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `is_locked` int(11) DEFAULT NULL,
  PRIMARY KEY (`index`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `knex_migrations_lock` WRITE;
/*!40000 ALTER TABLE `knex_migrations_lock` DISABLE KEYS */;
INSERT INTO `knex_migrations_lock` VALUES (1,0);
/*!40000 ALTER TABLE `knex_migrations_lock` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `marks`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `marks` (
  `name` varchar(40) NOT NULL,
  `at` datetime(3) NOT NULL,
  PRIMARY KEY (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `marks` WRITE;
/*!40000 ALTER TABLE `marks` DISABLE KEYS */;
INSERT INTO `marks` VALUES ('demo','2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `marks` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `ports`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `ports` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `component_id` varchar(36) NOT NULL,
  `label` varchar(80) NOT NULL,
  `connector` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`connector`)),
  `note` text NOT NULL,
  `position` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  KEY `ports_job_id_foreign` (`job_id`),
  KEY `ports_component_id_foreign` (`component_id`),
  CONSTRAINT `ports_component_id_foreign` FOREIGN KEY (`component_id`) REFERENCES `components` (`id`) ON DELETE CASCADE,
  CONSTRAINT `ports_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `ports` WRITE;
/*!40000 ALTER TABLE `ports` DISABLE KEYS */;
INSERT INTO `ports` VALUES ('p1','j1','c1','gallery','{\"family\":\"npt\",\"size\":\"1/8\",\"gender\":\"female\"}','',0,1);
INSERT INTO `ports` VALUES ('p2','j1','c2','inlet','{\"family\":\"orb\",\"size\":\"6\",\"gender\":\"female\"}','',1,1);
/*!40000 ALTER TABLE `ports` ENABLE KEYS */;
UNLOCK TABLES;

/*!40101 SET SQL_MODE=@OLD_SQL_MODE */;
/*!40014 SET FOREIGN_KEY_CHECKS=@OLD_FOREIGN_KEY_CHECKS */;
/*!40014 SET UNIQUE_CHECKS=@OLD_UNIQUE_CHECKS */;
/*!40111 SET SQL_NOTES=@OLD_SQL_NOTES */;

